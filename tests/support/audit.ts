import { auditPage, type AuditOptions, type AuditResult, type Finding } from '../../src/core/index.js';
import { pageFrom, type Files } from './page.js';

const AT_ONE_WIDTH: Partial<AuditOptions> = { at: [1000] };

/** Audits a page from text; at one width unless told otherwise. */
export const auditText = (
  html: string,
  options: Partial<AuditOptions> = AT_ONE_WIDTH,
  files: Files = {},
): AuditResult => auditPage(pageFrom(html, files), options);

/** The same by one check alone. */
export const auditOnly =
  (check: string) =>
  (html: string, options: Partial<AuditOptions> = AT_ONE_WIDTH, files: Files = {}): AuditResult =>
    auditText(html, { only: [check], ...options }, files);

/** A page whose one menu has the given items. */
export const menuPage = (css: string, items: string, around = ''): string =>
  `<!doctype html><html><head><meta name=viewport content="width=device-width"><style>body{margin:0;font:16px/24px Arial}nav ul{margin:0;padding:0;list-style:none}${css}</style></head><body><nav aria-label="Main"><ul>${items}</ul></nav>${around}</body></html>`;

export const links = (...labels: string[]): string =>
  labels.map((label) => `<li><a href="${label.toLowerCase()}.html">${label}</a></li>`).join('');

/** `check/message states label` for each finding and place. */
export const said = (findings: readonly Finding[]): string[] =>
  findings.flatMap((f) => f.places.map((p) => `${f.check}/${f.message} ${f.states.join('+')} ${p.label}`));

/** Styles of a menu with a panel `.s` below an entry `.p`, which is not shown. */
export const DROP_CSS =
  'a,button{color:#222;display:block;line-height:24px}nav li{float:left;position:relative}.s{display:none;position:absolute;top:24px;left:0;width:200px;background:#fff}';
/** The handle of that panel as a plain link. */
export const DROP_LINK = '<a href=islands.html>Islands</a>';

/** A menu whose third entry has a handle, a panel of two links, and what else is given. */
export const dropPage = (css: string, handle: string, more = '', script = ''): string =>
  menuPage(
    `${DROP_CSS}${css}`,
    `${links('Home', 'Fares')}<li class=p>${handle}<ul class=s><li><a href=s.html>Sula</a></li><li><a href=k.html>Kelp</a></li></ul>${more}</li>`,
    `<p>Text</p>${script ? `<script>${script}</script>` : ''}`,
  );

/** A menu at the side that the page lies over; the button that moves the page aside stands in the page. */
export const beneathPage = (css: string): string =>
  `<!doctype html><html><head><meta name=viewport content="width=device-width"><style>body{margin:0;font:16px/24px Arial}ul{margin:0;padding:0;list-style:none}nav{position:fixed;left:0;top:0;width:200px;z-index:1}nav a{color:#222;display:block;height:40px}#sheet{position:relative;z-index:5;background:#fff;height:600px}${css}</style></head><body><nav id=drawer aria-label="Main"><ul>${links('Home', 'Fares', 'Crew')}</ul></nav><div id=sheet><button class=menu-toggle aria-controls=drawer>Menu</button><p>Text</p></div></body></html>`;
