import { asksForLook, formatPosition, printWidths, type MenuModel, type MenusResult } from '../../core/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { indent, plural } from './layout.js';

const FORMS: Readonly<Record<MenuModel['forms'][number]['form'], string>> = {
  row: 'in a row',
  column: 'in a column',
  toggle: 'behind a toggle',
  'bottom-bar': 'in a bar at the lower edge',
  rail: 'in a narrow column at a side',
  none: 'not to be seen',
};

/** The menus of a page as trees: what they are, how they show, how their parts open and who gets there. */
export function menusView(result: MenusResult, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const head = `${colours.bold(harmless(result.page))}  ${plural(result.menus.length, 'menu')}`;
  const none = 'No navigation landmark with links, and no list of links that is named or stands like a menu.';
  const parts =
    result.menus.length === 0 ? [indent(none, 2, columns)] : result.menus.map((menu) => menuView(menu, terminal));
  const unseen = result.limits
    .filter(asksForLook)
    .map(({ subject, consequence, place }) =>
      indent(
        `${colours.magenta(harmless(subject))}: ${harmless(consequence)}${place ? colours.dim(`  ${place}`) : ''}`,
        2,
        columns,
      ),
    );
  if (unseen.length > 0) parts.push([colours.bold('To look at'), ...unseen].join('\n'));
  return `${[head, ...parts].join('\n\n')}\n`;
}

function menuView(menu: MenuModel, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const place = `${harmless(menu.selector)}${menu.at ? `  ${formatPosition(menu.at)}` : ''}`;
  const kind = menu.label.toLowerCase().includes(menu.kind) ? '' : `, ${menu.kind}`;
  const name = `${colours.cyan(menu.id)} ${harmless(menu.label)}${colours.dim(`${kind}${menu.landmark ? '' : ', in no landmark'}`)}`;
  const lines = [`${colours.bold(name)}`, indent(colours.dim(place), 2, columns)];
  if (menu.sameAs) lines.push(indent(`leads where ${menu.sameAs} leads: one menu shown in two ways`, 2, columns));
  lines.push(
    indent(
      menu.forms.map(({ from, to, form }) => `${printWidths([{ from, to }])} px: ${FORMS[form]}`).join('\n'),
      2,
      columns,
    ),
  );
  for (const toggle of menu.toggles) {
    const named = toggle.label === '' ? 'a toggle without a name' : `toggle “${harmless(toggle.label)}”`;
    lines.push(
      indent(
        `${named}${routeText(menu, toggle.path) || ', opens nothing by style or markup alone'}  ${colours.dim(`found by ${toggle.by}`)}`,
        2,
        columns,
      ),
    );
  }
  lines.push(...itemLines(menu, terminal), ...reachLines(menu, terminal));
  return lines.join('\n');
}

const VERBS = { hover: 'on hover', focus: 'on focus', press: 'when pressed', key: 'by key' } as const;

/** Ways in which a handle opens something, with the width where it does so at one only. */
function routeText(menu: MenuModel, handle: string): string {
  const own = menu.routes.filter((route) => route.handle === handle);
  const widths = menu.reach.length;
  const at = [...new Set(own.map((route) => route.at.join(', ')))];
  const ways = at.map((where) => {
    const same = own.filter((route) => route.at.join(', ') === where);
    const verbs = same.map(({ move }) => VERBS[move]).join(', ');
    return same[0]!.at.length < widths ? `${verbs} at ${where} px` : verbs;
  });
  return ways.length === 0 ? '' : `, opens ${ways.join('; ')}`;
}

function itemLines(menu: MenuModel, { colours, columns }: Terminal): readonly string[] {
  return menu.items.map((item) => {
    const label = item.label === '' ? colours.yellow('without a name') : harmless(item.label);
    const opens = routeText(menu, item.path);
    const shut = menu.shut.includes(item.path) ? colours.yellow(', what it owns is opened by no style or markup') : '';
    const panel = item.submenu ? opens || shut : '';
    const address = item.href === null ? 'no address' : harmless(item.href);
    const where = item.submenu ? '' : colours.dim(`  ${address}`);
    const current = item.current ? colours.green('  current page') : '';
    return indent(`- ${label}${panel}${current}${where}`, 2 + item.level * 2, columns);
  });
}

/** Who gets to how many items, where it is not everyone to all. */
function reachLines(menu: MenuModel, { colours, columns }: Terminal): readonly string[] {
  const all = menu.items.length;
  const lines = menu.reach.map(({ width, mouse, touch, keyboard }) => {
    const told = [
      ['mouse', mouse],
      ['touch', touch],
      ['keyboard', keyboard],
    ] as const;
    const [most, least] = [Math.max(mouse, touch, keyboard), Math.min(mouse, touch, keyboard)];
    if (most === 0) return indent(colours.yellow(`at ${width} px nobody gets to any of the ${all}`), 2, columns);
    const text =
      least === all
        ? `mouse, touch and keyboard get to all ${all}`
        : told.map(([who, count]) => `${who} ${count === all ? 'all' : `${count} of ${all}`}`).join(', ');
    return indent(`at ${width} px ${text}`, 2, columns);
  });
  const links = menu.items.filter(({ href }) => href !== null).length;
  const crawled = menu.crawlable < links ? `a crawler finds addresses for ${menu.crawlable} of ${links} links` : '';
  if (crawled !== '') lines.push(indent(crawled, 2, columns));
  return lines;
}
