/**
 * Rows a `select` shows at once; one where it drops down.
 * @param attribute what its attributes are, undefined for one it does not have
 * @spec html §4.10.7 (display size)
 */
export function displaySize(attribute: (name: string) => string | undefined): number {
  const size = Number.parseInt(attribute('size') ?? '', 10);
  return size > 0 ? size : attribute('multiple') === undefined ? 1 : 4;
}
