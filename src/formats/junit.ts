import { XMLBuilder } from 'fast-xml-parser';
import { formatPosition, type AuditResult, type Finding, wordOf } from '../core/index.js';
import { criteriaText, inert, mendedAt, widthsText, type Format } from './format.js';

const builder = new XMLBuilder({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  format: true,
  suppressEmptyNode: true,
});

const attributes = (of: Readonly<Record<string, string | number>>): Record<string, string> =>
  Object.fromEntries(Object.entries(of).map(([name, value]) => [`@${name}`, inert(String(value))]));

const told = (finding: Finding): string => {
  const at = mendedAt(finding);
  return inert(
    [
      widthsText(finding),
      criteriaText(finding),
      finding.says,
      finding.mends,
      at ? formatPosition(at) : '',
      ...finding.places.map(({ selector }) => selector),
    ]
      .filter((part) => part !== '')
      .join('; '),
  );
};

/** A case for each check and message on a page: what it found fails it; what a person has to look at skips it. */
function suiteOf(
  page: string,
  checks: readonly string[],
  findings: readonly Finding[],
  crashed: AuditResult['crashed'],
) {
  const cases = checks.flatMap((check): Record<string, unknown>[] => {
    const base = (name: string) => attributes({ name, classname: page });
    const broken = crashed.find((one) => one.check === check);
    if (broken) return [{ ...base(check), error: { ...attributes({ message: broken.message, type: 'broke off' }) } }];
    const own = findings.filter((finding) => finding.check === check);
    if (own.length === 0) return [base(check)];
    return own.map((finding, i) => {
      const name = own.length > 1 ? `${check} ${i + 1}` : check;
      if (finding.verdict === 'look')
        return { ...base(name), skipped: attributes({ message: `to look at: ${told(finding)}` }) };
      return {
        ...base(name),
        failure: { ...attributes({ message: finding.says, type: wordOf(finding) }), '#text': told(finding) },
      };
    });
  });
  const count = (kind: string) => cases.filter((one) => kind in one).length;
  return {
    ...attributes({
      name: page,
      tests: cases.length,
      failures: count('failure'),
      errors: count('error'),
      skipped: count('skipped'),
      time: 0,
    }),
    ...(cases.length > 0 ? { testcase: cases } : {}),
  };
}

/** JUnit’s XML, as build servers read it: a suite for each page. */
export const junit: Format = {
  material: false,
  open: () => {
    const suites: ReturnType<typeof suiteOf>[] = [];
    return {
      page: ({ page, checks, findings, crashed }) => {
        suites.push(suiteOf(page, checks, findings, crashed));
      },
      end: ({ across, failures }) => {
        if (across.checks.length > 0)
          suites.push(suiteOf('several pages', across.checks, across.findings, across.crashed));
        for (const { name, message } of failures)
          suites.push({
            ...attributes({ name, tests: 1, failures: 0, errors: 1, skipped: 0, time: 0 }),
            testcase: [
              { ...attributes({ name: 'read', classname: name }), error: attributes({ message, type: 'not audited' }) },
            ],
          });
        const sum = (key: string) =>
          suites.reduce((all, suite) => all + Number((suite as Record<string, unknown>)[`@${key}`]), 0);
        return `<?xml version="1.0" encoding="UTF-8"?>\n${builder.build({
          testsuites: {
            ...attributes({
              name: 'rope-ladder',
              tests: sum('tests'),
              failures: sum('failures'),
              errors: sum('errors'),
              time: 0,
            }),
            ...(suites.length > 0 ? { testsuite: suites } : {}),
          },
        })}`;
      },
    };
  },
};
