import { criteriaOf, type Check, type CheckMeta } from '../core/index.js';

const WEIGHTS: Readonly<Record<CheckMeta['weight'], string>> = {
  blocks: 'someone cannot get there',
  hinders: 'people get there with trouble',
  polish: 'worth mending',
};

const fenced = (text: string): string => `\`\`\`${text.startsWith('<') ? 'html' : 'css'}\n${text}\n\`\`\``;

/** A message with its open places as dots. */
export const sampled = (message: string): string => message.replace(/\{subject\}/g, '“…”').replace(/\{\w+\}/g, '…');

/** A check's page of documentation, in Markdown. */
export function checkPage({ meta }: Check): string {
  const criteria = criteriaOf(meta).map(({ number, level }) => `WCAG 2.2 ${number} (level ${level})`);
  const { means, rule, faulty, mended } = meta.explains;
  const messages = Object.entries(meta.messages).map(
    ([id, message]) => `- **${id}**: ${sampled(message.says)} _Mend:_ ${sampled(message.mends)}`,
  );
  const figures = Object.entries(meta.figures ?? {}).map(
    ([name, { value, unit, means: what }]) => `- **${name}** (${value} ${unit}): ${what}`,
  );
  return `${[
    `# ${meta.id}`,
    meta.title,
    `Weight: ${meta.weight} (${WEIGHTS[meta.weight]}). ${criteria.length > 0 ? criteria.join(', ') : 'No success criterion asks for it'}.`,
    '## What it means',
    means,
    '## The rule',
    rule.map((line) => `- ${line}`).join('\n'),
    ...(figures.length > 0 ? ['## What can be set', figures.join('\n')] : []),
    '## An example',
    `Faulty:\n\n${fenced(faulty)}`,
    `Mended:\n\n${fenced(mended)}`,
    '## What it says',
    messages.join('\n'),
  ].join('\n\n')}\n`;
}
