/** The day, as acceptances and reports tell it. SOURCE_DATE_EPOCH stands in for the clock where results must repeat. */
export function dayOf(env: NodeJS.ProcessEnv): string {
  const epoch = Number(env.SOURCE_DATE_EPOCH);
  const date = env.SOURCE_DATE_EPOCH && Number.isFinite(epoch) ? new Date(epoch * 1000) : new Date();
  return date.toISOString().slice(0, 10);
}
