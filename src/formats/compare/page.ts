import { Eta } from 'eta';
import { formatPosition, printWidths, type Finding, type SharedFinding, wordOf } from '../../core/index.js';
import { criteriaText, inert, mendedAt, widthsText } from '../format.js';
import type { PageMaterial, Picture } from '../report/material.js';
import { pictureSvg } from '../report/pages.js';
import { policyOf } from '../report/policy.js';
import { STYLE } from '../report/style.js';
import { comparisonCounts, type ToldComparison } from './told.js';

/** Pictures of a page before and after. */
export interface ComparedPictures {
  readonly page: string;
  readonly before: PageMaterial;
  readonly after: PageMaterial;
}

const TEMPLATE = `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="<%= it.policy %>">
<title><%= it.title %></title>
<style><%~ it.style %></style>
</head>
<body>
<a class="skip" href="#content">Skip to the content</a>
<header><div class="wrap"><h1><%= it.title %></h1><p class="soft"><%= it.scope %></p>
<nav class="ways" aria-label="Parts of this comparison"><ul><% for (const [id, name] of it.parts) { %><li><a href="#<%= id %>"><%= name %></a></li><% } %></ul></nav></div></header>
<main id="content" tabindex="-1"><div class="wrap">
<% for (const part of it.sections) { %><section aria-labelledby="<%= part.id %>"><h2 id="<%= part.id %>"><%= part.title %>: <%= part.findings.length %></h2>
<% if (part.findings.length === 0) { %><p><%= part.none %></p><% } %>
<% for (const f of part.findings) { %><article class="<%= f.weight %>"><h3><%= f.check %></h3><p class="meta"><span class="tag <%= f.weight %>"><%= f.weight %></span> <%= f.widths %><% if (f.criteria) { %> · <%= f.criteria %><% } %></p><p><%= f.says %></p><% if (f.at) { %><p class="file"><%= f.at %></p><% } %><% if (f.pages) { %><p class="meta">On <%= f.pages %></p><% } %><% if (part.mends) { %><p class="mend"><strong>What mends it:</strong> <%= f.mends %></p><% } %></article>
<% } %></section>
<% } %>
<section aria-labelledby="pictures"><h2 id="pictures">Before and after</h2>
<% if (it.pairs.length === 0) { %><p><%= it.unpictured %></p><% } %>
<% for (const pair of it.pairs) { %><h3><%= pair.title %></h3><div class="pictures"><% for (const side of pair.sides) { %><figure><figcaption><strong><%= side.word %></strong><br><%= side.note %></figcaption><%~ side.svg %></figure><% } %></div>
<% } %></section>
</div></main>
<footer><div class="wrap"><%= it.foot %></div></footer>
</body>
</html>
`;

const view = ({ finding, pages }: Pick<SharedFinding, 'finding' | 'pages'>, widths = widthsText(finding)) => {
  const at = mendedAt(finding);
  return {
    check: finding.check,
    weight: wordOf(finding),
    widths,
    criteria: criteriaText(finding),
    says: inert(finding.says),
    mends: inert(finding.mends),
    at: at ? inert(formatPosition(at)) : '',
    pages:
      pages.length > 1
        ? inert(pages.slice(0, 6).join(', ')) + (pages.length > 6 ? ` and ${pages.length - 6} more` : '')
        : '',
  };
};

const movedWidths = (before: Finding, after: Finding): string =>
  `${printWidths(before.widths)} px before, ${printWidths(after.widths)} px now`;

const MOST_PAIRS = 24;

/** Pictures of the same width and pose side by side; a width one side does not have stands alone. */
function pairsOf({ page, before, after }: ComparedPictures) {
  const key = ({ width, pose }: Picture) => `${width} ${pose}`;
  const keys = [...new Set([...before.pictures, ...after.pictures].map(key))];
  const side = (word: string, material: PageMaterial, of: string, id: string) => {
    const picture = material.pictures.find((one) => key(one) === of);
    return picture
      ? [
          {
            word,
            note: `${picture.from}–${picture.to} px, drawn at ${picture.width} px`,
            svg: pictureSvg(picture, [], `${id} ${word}`),
          },
        ]
      : [];
  };
  return keys.map((of) => ({
    title: inert(`${page}, ${of.replace(' ', ' px, ')}`),
    sides: [...side('Before', before, of, page), ...side('After', after, of, page)],
  }));
}

/** A comparison as one page to read: what is new, what is cleared, and the drawings side by side. */
export function comparisonPage(
  told: ToldComparison,
  {
    before,
    after,
    version,
    day,
  }: { readonly before: string; readonly after: string; readonly version: string; readonly day: string },
  pictures: readonly ComparedPictures[],
): string {
  const eta = new Eta({ autoEscape: true, autoTrim: false });
  const pairs = pictures.flatMap(pairsOf).slice(0, MOST_PAIRS);
  const sections = [
    { id: 'new', title: 'New', findings: told.fresh.map((one) => view(one)), none: 'Nothing is new.', mends: true },
    {
      id: 'cleared',
      title: 'Cleared',
      findings: told.cleared.map((one) => view(one)),
      none: 'Nothing is cleared.',
      mends: false,
    },
    {
      id: 'moved',
      title: 'At other widths',
      findings: told.moved.map((one) => view({ finding: one.after, pages: [] }, movedWidths(one.before, one.after))),
      none: 'None.',
      mends: true,
    },
    {
      id: 'still',
      title: 'Still there',
      findings: told.still.map((one) => view(one)),
      none: 'Nothing is left.',
      mends: true,
    },
  ];
  return eta.renderString(TEMPLATE, {
    title: 'Navigation menus, before and after',
    scope: inert(`${before} → ${after}: ${comparisonCounts(told)}.`),
    policy: policyOf({ style: STYLE }),
    style: STYLE,
    parts: [...sections.map(({ id, title }) => [id, title]), ['pictures', 'Pictures']],
    sections,
    pairs,
    unpictured: 'There are no pictures: results from files hold none. Compare the pages themselves to see them.',
    foot: `Made by Rope Ladder ${version} on ${day}.`,
  });
}
