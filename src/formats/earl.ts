import { formatPosition, type AuditResult, type Criterion, type Finding } from '../core/index.js';
import { inert, mendedAt, widthsText, type Format } from './format.js';

const CONTEXT = {
  earl: 'http://www.w3.org/ns/earl#',
  dct: 'http://purl.org/dc/terms/',
} as const;
const ASSERTOR = '_:rope-ladder';

const outcome = (word: 'passed' | 'failed' | 'cantTell' | 'untested') => ({ '@id': `earl:${word}` });

/** A page or check as a name of its own; nothing of this machine is in it. */
const named = (kind: string, name: string): string => `urn:rope-ladder:${kind}:${encodeURIComponent(inert(name))}`;

const criterion = ({ number }: Criterion) => ({
  '@type': 'earl:TestCriterion',
  '@id': `urn:wcag:2.2:${number}`,
  'dct:title': `WCAG 2.2 ${number}`,
});

function assertion(page: string, check: string, result: Record<string, unknown>, criteria: readonly Criterion[]) {
  return {
    '@type': 'earl:Assertion',
    'earl:assertedBy': { '@id': ASSERTOR },
    'earl:mode': { '@id': 'earl:automatic' },
    'earl:subject': { '@id': named('page', page) },
    'earl:test': {
      '@type': 'earl:TestCase',
      '@id': named('check', check),
      'dct:title': check,
      ...(criteria.length > 0 ? { 'dct:isPartOf': criteria.map(criterion) } : {}),
    },
    'earl:result': { '@type': 'earl:TestResult', ...result },
  };
}

function ofFinding(page: string, finding: Finding) {
  const at = mendedAt(finding);
  return assertion(
    page,
    finding.check,
    {
      'earl:outcome': outcome(finding.verdict === 'look' ? 'cantTell' : 'failed'),
      'dct:title': widthsText(finding),
      'dct:description': inert(`${finding.says} ${finding.mends}`),
      'earl:info': inert(
        [...(at ? [formatPosition(at)] : []), ...finding.places.map(({ selector }) => selector)].join('; '),
      ),
    },
    finding.criteria,
  );
}

function ofPage({ page, checks, findings, accepted, crashed, menus }: AuditResult) {
  const told = [...findings, ...accepted.map(({ finding }) => finding)];
  const quiet = checks.filter(
    (check) => !told.some((finding) => finding.check === check) && !crashed.some((one) => one.check === check),
  );
  return [
    { '@type': ['earl:TestSubject', 'earl:Software'], '@id': named('page', page), 'dct:title': inert(page) },
    ...told.map((finding) => ofFinding(page, finding)),
    ...quiet.map((check) =>
      assertion(page, check, { 'earl:outcome': outcome(menus.length > 0 ? 'passed' : 'untested') }, []),
    ),
    ...crashed.map(({ check, message }) =>
      assertion(page, check, { 'earl:outcome': outcome('untested'), 'dct:description': inert(message) }, []),
    ),
  ];
}

/** Test results as linked data. @spec EARL 1.0 Schema (W3C), JSON-LD 1.1 */
export const earl: Format = {
  material: false,
  open: ({ version, day }) => {
    const graph: object[] = [
      {
        '@type': ['earl:Assertor', 'earl:Software'],
        '@id': ASSERTOR,
        'dct:title': 'Rope Ladder',
        'dct:hasVersion': version,
      },
    ];
    return {
      page: (result) => {
        graph.push(...ofPage(result));
      },
      end: ({ across, failures }) => {
        const several = 'several pages';
        const told = [...across.findings, ...across.accepted.map(({ finding }) => finding)];
        if (told.length > 0)
          graph.push({
            '@type': ['earl:TestSubject', 'earl:Software'],
            '@id': named('page', several),
            'dct:title': several,
          });
        graph.push(...told.map((finding) => ofFinding(several, finding)));
        for (const { name, message } of failures)
          graph.push({
            '@type': 'earl:TestSubject',
            '@id': named('page', name),
            'dct:title': inert(name),
            'dct:description': inert(`Not audited: ${message}`),
          });
        return `${JSON.stringify({ '@context': CONTEXT, ...(day === null ? {} : { 'dct:date': day }), '@graph': graph }, null, 2)}\n`;
      },
    };
  },
};
