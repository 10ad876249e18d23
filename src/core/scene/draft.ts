import { LimitLog, SourceText } from '../base/index.js';
import { needsFullBreaks } from '../boxes/index.js';
import { referencesOf } from '../css/index.js';
import { parseHtml, type ElementNode, type HtmlDocument } from '../html/index.js';
import {
  baseUrl,
  collectSheets,
  resolveUrl,
  type Collected,
  type FontFace,
  type Resource,
  type Resources,
  type RuleSet,
  type SheetCache,
} from '../sheets/index.js';

/** A page as text. */
export interface PageText {
  /** How reports call the page. */
  readonly name: string;
  /** Absolute URL relative references start from. */
  readonly url: string;
  /** URL of the folder the site's addresses are told from, with a slash at its end. */
  readonly root?: string;
  readonly html: string;
}

export interface PageOptions {
  /** Whether scripts are on: decides how `noscript` is read. On unless said otherwise. */
  readonly scripting?: boolean;
  /** Parsed sheets to share between pages. */
  readonly sheets?: SheetCache;
  /** Sheets that stand after all those of the page: changes that are tried. */
  readonly patches?: readonly Resource[];
  /** Scripts that run after those of the page: ways to open something that its own do not show. */
  readonly moreScripts?: readonly Resource[];
  /** What is known of its menus beside what its markup tells. */
  readonly menus?: readonly DeclaredMenu[];
}

/** A menu as someone declares it. */
export interface DeclaredMenu {
  /** Selector of the element its links stand in. */
  readonly menu: string;
  readonly kind?: string;
  readonly label?: string;
  /** Selectors of the controls that open it. */
  readonly toggles?: readonly string[];
  /** What the selector finds is no menu. */
  readonly ignore?: boolean;
}

/** A script of a page: its text where it stands in the page, or the address it is loaded from. */
export type ScriptReference = ({ readonly text: string; readonly offset: number } | { readonly url: string }) & {
  readonly element: ElementNode;
  readonly when: 'there' | 'after';
  readonly module: boolean;
};

const JAVASCRIPT = /^(|module|text\/javascript|application\/javascript|application\/ecmascript|text\/ecmascript)$/i;

/** Attributes that may name a picture. */
const REFERRING: Readonly<Record<string, string>> = { input: 'src', video: 'poster', object: 'data', embed: 'src' };
/** Properties whose pictures take room; a variable may end up in one. */
const PICTURING = /^(content|list-style|list-style-image|--.*)$/;
/** The same among the declarations of a style attribute. */
const PICTURED = /(?:content|list-style|list-style-image|--[^:;]*)\s*:[^;]*url\(/;
const URL_TEXT = /url\(\s*(?:"([^"]*)"|'([^']*)'|([^)"'\s]*))\s*\)/g;

const urlsIn = (text: string): string[] =>
  [...text.matchAll(URL_TEXT)].map((found) => found[1] ?? found[2] ?? found[3]!);

export const withoutFragment = (url: string): string => url.replace(/#.*$/s, '');

/** A parsed page and what it refers to. */
export class PageDraft {
  readonly document: HtmlDocument;
  readonly sheets: SheetCache;
  readonly limits = new LimitLog();

  constructor(
    readonly text: PageText,
    readonly options: PageOptions = {},
  ) {
    this.sheets = options.sheets ?? new Map();
    if (text.html.includes('\0'))
      this.limits.add('repaired', 'null characters in the page', 'they are dropped, as browsers do');
    this.document = parseHtml(new SourceText(text.name, text.html), {
      scripting: options.scripting ?? true,
      limits: this.limits,
    });
  }

  /** The same draft with a log of its own, for a page that is looked at in another way. */
  apart(): PageDraft {
    return Object.assign(Object.create(PageDraft.prototype) as PageDraft, this, { limits: new LimitLog() });
  }

  /** The rules of all sheets among the resources, and the addresses of those still wanted; imports show only once their sheet is there. */
  collect(resources: Resources): Collected & { readonly limits: LimitLog } {
    const limits = new LimitLog();
    return {
      ...collectSheets(this.document, this.text.url, resources, this.sheets, limits, {
        patches: this.options.patches ?? [],
        root: this.text.root ?? null,
      }),
      limits,
    };
  }

  /** The fonts sheets declare, their sources as absolute URLs, in families some rule asks for. */
  fontFaces({ ruleSet }: Collected): readonly FontFace[] {
    if (ruleSet.fontFaces.length === 0) return [];
    const asked = ruleSet.rules.flatMap((r) => r.declarations.filter((d) => /^(font|font-family|--.*)$/.test(d.name)));
    const words =
      asked
        .map((d) => d.text)
        .join('\n')
        .toLowerCase() + this.text.html.toLowerCase();
    // Escaped or parted differently, a name may not stand there as it is: its first word does.
    const asks = (name: string) => words.includes(name) || words.includes(/^[\w-]*/.exec(name)![0]);
    const named = ruleSet.fontFaces.filter((face) => asks(face.family.toLowerCase()));
    const codes = named.some(({ characters }) => characters) ? charactersOf(this.document, ruleSet) : [];
    return named.filter(
      ({ characters }) =>
        characters === null || codes.some((code) => characters.some(([first, last]) => code >= first && code <= last)),
    );
  }

  /** Absolute URLs of pictures whose natural size layout may need: those of the page and those sheets put into its content. */
  wantedPictures({ ruleSet }: Collected): readonly string[] {
    const base = baseUrl(this.document, this.text.url);
    const references = this.document.elements.flatMap((e): readonly (string | undefined)[] => {
      const style = e.attributes.get('style');
      const styled = style && PICTURED.test(style) ? urlsIn(style) : [];
      if (e.tag === 'img') return [...styled, ...referencesOf(e)];
      return [...styled, e.attributes.get(REFERRING[e.tag] ?? '')];
    });
    const inPage = references.flatMap((r) => (r ? [resolveUrl(r, base)] : []));
    const inSheets = ruleSet.rules.flatMap(({ declarations }) =>
      declarations
        .filter(({ name, text }) => PICTURING.test(name) && text.includes('url('))
        .flatMap(({ text, span }) =>
          urlsIn(text).map((url) => resolveUrl(url, ruleSet.addresses.get(span.source) ?? base)),
        ),
    );
    return [...new Set([...inPage, ...inSheets])].filter((url) => url !== null);
  }

  /** The scripts of the page in document order. */
  scripts(): readonly ScriptReference[] {
    const base = baseUrl(this.document, this.text.url);
    return this.document.elements.flatMap((e): ScriptReference[] => {
      if (e.tag !== 'script' || e.namespace !== 'html' || !JAVASCRIPT.test(e.attributes.get('type')?.trim() ?? ''))
        return [];
      const source = e.attributes.get('src');
      const url = source === undefined ? null : resolveUrl(source, base);
      const isModule = (e.attributes.get('type') ?? '').trim().toLowerCase() === 'module';
      const later = isModule || (source !== undefined && ['defer', 'async'].some((name) => e.attributes.has(name)));
      if (!isModule && e.attributes.has('nomodule')) return [];
      const at = { element: e, when: later ? 'after' : 'there', module: isModule } as const;
      if (source !== undefined) return url === null ? [] : [{ url, ...at }];
      const text = e.children.map((c) => (c.kind === 'text' ? c.data : '')).join('');
      return text.trim() === '' ? [] : [{ text, offset: e.startTag?.end ?? 0, ...at }];
    });
  }

  /** Absolute URLs of what links lead to, without fragments, each once. */
  destinations(): readonly string[] {
    const base = baseUrl(this.document, this.text.url);
    const found = this.document.elements.flatMap((e) => {
      const href = e.tag === 'a' || e.tag === 'area' ? e.attributes.get('href')?.trim() : undefined;
      const url = href ? resolveUrl(href, base) : null;
      return url === null ? [] : [withoutFragment(url)];
    });
    return [...new Set(found)];
  }

  /** Whether the page's text, or what its sheets put into it, asks for line breaking by the full rules. */
  needsFullBreaks({ ruleSet }: Collected): boolean {
    return charactersOf(this.document, ruleSet).some((code) => needsFullBreaks(String.fromCodePoint(code)));
  }

  /** Whether the page holds something for browsers without scripts. */
  get hasNoscript(): boolean {
    return this.document.elements.some((e) => e.tag === 'noscript');
  }
}

/** Escapes beyond it stand for no character. @spec css-syntax-3 §4.3.7 */
const LAST_CODE_POINT = 0x10ffff;

/** Code points a page may show: the space, those of its text, and those its sheets put into it. */
function charactersOf({ elements }: HtmlDocument, { rules }: RuleSet): readonly number[] {
  const codes = new Set<number>([0x20]);
  const add = (text: string) => {
    for (const character of text) codes.add(character.codePointAt(0)!);
  };
  for (const { children, attributes } of elements) {
    for (const child of children) if (child.kind === 'text') add(child.data);
    for (const value of attributes.values()) add(value);
  }
  for (const { declarations } of rules)
    for (const { name, text } of declarations)
      if (name === 'content') {
        add(text);
        for (const [, code] of text.matchAll(/\\([\da-f]{1,6})/gi)) {
          const point = Number.parseInt(code!, 16);
          if (point <= LAST_CODE_POINT) codes.add(point);
        }
      }
  return [...codes];
}
