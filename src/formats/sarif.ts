import { CHECKS, fingerprints, type AcrossPages, type CheckMeta, type Finding, type Position } from '../core/index.js';
import { criteriaText, inert, mendedAt, widthsText, type Format } from './format.js';

const SCHEMA = 'https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json';
const LEVELS = { blocks: 'error', hinders: 'warning', polish: 'note' } as const;

/** A path as an address relative to the folder the command ran in. @spec RFC 3986 §4.2 */
const uriOf = (file: string): string => encodeURI(inert(file)).replace(/[?#]/g, encodeURIComponent);

const location = ({ file, line, column }: Position, text?: string) => ({
  physicalLocation: {
    artifactLocation: { uri: uriOf(file), uriBaseId: 'HERE' },
    region: { startLine: line, startColumn: column },
  },
  ...(text === undefined ? {} : { message: { text: inert(text) } }),
});

const ruleOf = (meta: CheckMeta) => ({
  id: meta.id,
  shortDescription: { text: meta.title },
  fullDescription: { text: meta.explains.means },
  help: { text: [meta.explains.means, ...meta.explains.rule].join('\n') },
  defaultConfiguration: { level: LEVELS[meta.weight] },
});

interface Told {
  readonly rules: Map<string, number>;
  readonly page: string | null;
  readonly mark: string;
}

/** One result of a run. @spec SARIF 2.1.0 §3.27 */
function resultOf(finding: Finding, { rules, page, mark }: Told, accepted: string | null) {
  const { check, places, cause, says, mends, verdict, weight, poses, states, visitors, measured, needed } = finding;
  const at = mendedAt(finding);
  const look = verdict === 'look';
  if (!rules.has(check)) rules.set(check, rules.size);
  const others = [
    ...places.flatMap((place) =>
      place.at && place.at !== at ? [location(place.at, place.label || place.selector)] : [],
    ),
  ].map((one, i) => ({ ...one, id: i + 1 }));
  const words = [widthsText(finding), criteriaText(finding)].filter((part) => part !== '').join(', ');
  return {
    ruleId: check,
    ruleIndex: rules.get(check)!,
    kind: look ? 'review' : 'fail',
    level: look ? 'none' : LEVELS[weight],
    message: { text: inert(`${says} (${words}) ${mends}`) },
    locations: at
      ? [location(at)]
      : page === null
        ? []
        : [{ physicalLocation: { artifactLocation: { uri: uriOf(page), uriBaseId: 'HERE' } } }],
    ...(others.length > 0 ? { relatedLocations: others } : {}),
    partialFingerprints: { 'ropeLadder/v1': mark },
    ...(accepted === null ? {} : { suppressions: [{ kind: 'external', justification: inert(accepted) }] }),
    properties: {
      widths: finding.widths.map(({ from, to }) => `${from}-${to}`),
      poses: poses.map(inert),
      states,
      ...(visitors.length > 0 ? { visitors } : {}),
      ...(cause ? { declaration: inert(cause.text) } : {}),
      ...(measured ? { measured: `${measured.value} ${measured.unit}` } : {}),
      ...(needed ? { needed: `${needed.value} ${needed.unit}` } : {}),
    },
  };
}

/** Results for code review. @spec SARIF 2.1.0 (OASIS) */
export const sarif: Format = {
  material: false,
  open: ({ version }) => {
    const rules = new Map<string, number>();
    const results: ReturnType<typeof resultOf>[] = [];
    const notes: { level: 'error' | 'warning'; message: { text: string } }[] = [];
    const add = (page: string | null, { findings, accepted, crashed }: AcrossPages) => {
      const all = [...findings.map((finding) => ({ finding, reason: null })), ...accepted];
      const marks = fingerprints(
        page ?? '',
        all.map(({ finding }) => finding),
      );
      all.forEach(({ finding, reason }, i) =>
        results.push(resultOf(finding, { rules, page, mark: marks[i]! }, reason)),
      );
      for (const { check, message } of crashed)
        notes.push({
          level: 'error',
          message: { text: inert(`${check} broke off on ${page ?? 'several pages'}: ${message}`) },
        });
    };
    return {
      page: (result) => add(result.page, result),
      end: ({ across, failures }) => {
        add(null, across);
        for (const { name, message } of failures)
          notes.push({ level: 'error', message: { text: inert(`${name} was not audited: ${message}`) } });
        const metas = new Map(CHECKS.map(({ meta }) => [meta.id, meta]));
        const log = {
          $schema: SCHEMA,
          version: '2.1.0',
          runs: [
            {
              tool: {
                driver: {
                  name: 'Rope Ladder',
                  semanticVersion: version,
                  rules: [...rules.keys()].map((id) => ruleOf(metas.get(id)!)),
                },
              },
              columnKind: 'utf16CodeUnits',
              originalUriBaseIds: { HERE: { description: { text: 'The folder the command ran in' } } },
              invocations: [
                {
                  executionSuccessful: notes.length === 0,
                  ...(notes.length > 0 ? { toolExecutionNotifications: notes } : {}),
                },
              ],
              results,
            },
          ],
        };
        return `${JSON.stringify(log, null, 2)}\n`;
      },
    };
  },
};
