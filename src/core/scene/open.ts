import { grouped, SourceText } from '../base/index.js';
import {
  bareMetrics,
  bundledMetrics,
  stretchedMetrics,
  webMetrics,
  type LineBreaks,
  type Missing,
  type NaturalSize,
  type TextMetrics,
  type WebFace,
} from '../boxes/index.js';
import type { HtmlDocument } from '../html/index.js';
import { absence, baseUrl, resolveUrl, type FontFace, type Resource } from '../sheets/index.js';
import { isOfSite } from './addresses.js';
import { openWebFaces } from './faces.js';
import { filesUsed, type GraphicFile } from './graphics/files.js';
import { withImports } from './modules.js';
import { MOST, type Opening, type Question, type Reader } from './opening.js';
import type { PossibleChange } from './changeable.js';
import { PageDraft, withoutFragment, type PageOptions, type PageText } from './draft.js';
import { Page, type PageParts } from './page.js';
import type { Scene } from './scene.js';
import { toldBySheets } from './told-styles.js';
import { mediumOf, setting } from './setting.js';
import { namesChainLibrary, Program, type Look, type PageScript } from '../scripts/index.js';
import { fileAddress } from './addresses.js';

export type { Reader };

export interface OpenOptions extends PageOptions {
  /** How wide characters are that neither the page's fonts nor the default families have. */
  readonly glyphs?: Missing;
  /** Attributes that openings can change, told from the parsed page. */
  readonly changes?: (document: HtmlDocument) => readonly PossibleChange[];
}

/** Widths at which scripts are asked what they may change, px. */
const SURVEYED = [1280, 375] as const;

/**
 * Opens a page: asks the reader for everything that styles it, in rounds, within bounds; what was given up is in the
 * page's limits. Pages are opened whole or not at all: what a reader throws comes through.
 */
export async function openPage(text: PageText, reader: Reader, options: OpenOptions = {}): Promise<Page> {
  const opening = openingOf(text, reader, options);
  let step = opening.next();
  while (!step.done) step = opening.next(await Promise.all(step.value.map((ask) => ask())));
  return step.value;
}

/** The same with a reader that has everything at hand. Throws where an answer is a promise. */
export function openPageNow(text: PageText, reader: Reader, options: OpenOptions = {}): Page {
  const opening = openingOf(text, reader, options);
  let step = opening.next();
  while (!step.done) {
    const answers = step.value.map((ask) => ask());
    if (answers.some((answer) => answer instanceof Promise))
      throw new TypeError('this reader answers later: use openPage');
    step = opening.next(answers);
  }
  return step.value;
}

function* openingOf(text: PageText, reader: Reader, options: OpenOptions): Opening<Page> {
  const draft = new PageDraft(text, options);
  const bare = draft.hasNoscript && options.scripting !== false ? withoutScripts(draft) : null;
  const drafts = bare ? [draft, bare] : [draft];
  const [collected, bareCollected] = (yield* sheetsOf(drafts, reader)) as [Sheets, Sheets?];
  const wanted = [collected, ...(bareCollected ? [bareCollected] : [])];
  const images = yield* picturesOf(drafts, wanted, reader);
  const metrics = yield* fontsOf(draft.fontFaces(collected), reader, options);
  const graphics = yield* graphicsOf(draft, reader);
  const own = yield* scriptsOf(draft, reader);
  const answers = yield* answersOf(draft, reader);
  const [breaks] = draft.needsFullBreaks(collected) && reader.fullBreaks ? yield [() => reader.fullBreaks!()] : [];
  const shared = { images, metrics, graphics, ...(breaks ? { breaks: breaks as LineBreaks } : {}) };
  const sheets = { ruleSet: collected.ruleSet, metrics };
  const { scripts, program, changes: read } = yield* programOf(draft, own, sheets, reader);
  const changes = [...read, ...(options.changes?.(draft.document) ?? [])];
  const scriptless = bare && (() => new Page(bare, { ...shared, collected: bareCollected! }));
  const texts = scripts.flatMap(({ source }) => (source ? [source] : []));
  const parts: PageParts = {
    ...shared,
    collected,
    scripts: texts,
    answers,
    changes,
    ...(program ? { program } : {}),
    ...(scriptless ? { scriptless } : {}),
  };
  const stretched = (factor: number) =>
    new Page(draft.apart(), { ...parts, metrics: stretchedMetrics(metrics, factor) });
  return new Page(draft, { ...parts, stretched });
}

const withoutScripts = ({ text, options, sheets }: PageDraft): PageDraft =>
  new PageDraft(text, { ...options, sheets, scripting: false });

type Sheets = ReturnType<PageDraft['collect']>;

/** The sheets of each draft, then those they import, until nothing more is asked for. */
function* sheetsOf(drafts: readonly PageDraft[], reader: Reader): Opening<readonly Sheets[]> {
  const resources = new Map<string, Resource | null>();
  for (let round = 0; ; round++) {
    const all = drafts.map((draft) => draft.collect(resources));
    const wanted = [...new Set(all.flatMap((sheets) => sheets.wanted))];
    if (wanted.length === 0) return all;
    if (round === MOST.rounds) {
      giveUp(drafts, `imports more than ${MOST.rounds} deep`);
      return all;
    }
    const asked = wanted.slice(0, Math.max(0, MOST.sheets - resources.size));
    if (asked.length < wanted.length) giveUp(drafts, `more than ${MOST.sheets} style sheets`);
    const found = yield asked.map(
      (url): Question =>
        () =>
          reader.sheet?.(url) ?? null,
    );
    asked.forEach((url, i) => resources.set(url, found[i] as Resource | null));
    for (const url of wanted) if (!resources.has(url)) resources.set(url, null);
  }
}

function* picturesOf(
  drafts: readonly PageDraft[],
  sheets: readonly Sheets[],
  reader: Reader,
): Opening<Map<string, NaturalSize | null>> {
  const wanted = [...new Set(drafts.flatMap((draft, i) => draft.wantedPictures(sheets[i]!)))];
  if (wanted.length > MOST.pictures) giveUp(drafts, `more than ${MOST.pictures} pictures`);
  const asked = reader.picture ? wanted.slice(0, MOST.pictures) : [];
  const found = yield asked.map(
    (url): Question =>
      () =>
        reader.picture!(url),
  );
  return new Map(asked.map((url, i) => [url, found[i] as NaturalSize | null]));
}

function* fontsOf(faces: readonly FontFace[], reader: Reader, { glyphs }: OpenOptions): Opening<TextMetrics> {
  const own = yield* openWebFaces(faces, reader);
  const [there] = reader.installedFonts ? yield [() => reader.installedFonts!()] : [[]];
  const named = new Set(own.map(({ family }) => family.toLowerCase()));
  const installed = (there as readonly WebFace[]).filter(({ family }) => !named.has(family.toLowerCase()));
  const base = glyphs === 'boxes' ? bareMetrics : bundledMetrics;
  const all = [...own, ...installed];
  return all.length > 0 ? webMetrics(all, base) : base;
}

/** Files that graphics of the page repeat parts of. */
function* graphicsOf(draft: PageDraft, reader: Reader): Opening<Map<string, GraphicFile>> {
  const { document, text } = draft;
  const base = baseUrl(document, text.url);
  const named = reader.graphics ? filesUsed(document).map((one) => resolveUrl(one, base)) : [];
  const wanted = [...new Set(named.flatMap((url) => (url === null ? [] : [withoutFragment(url)])))];
  if (wanted.length > MOST.graphics) giveUp([draft], `more than ${MOST.graphics} files of graphics`);
  const asked = wanted.slice(0, MOST.graphics);
  const found = yield asked.map(
    (url): Question =>
      () =>
        reader.graphics!(url),
  );
  return new Map(
    asked.flatMap((url, i) => {
      const read = found[i] as Resource | null;
      return read ? [[url, fileOf(read, url)] as const] : [];
    }),
  );
}

/** The graphics of a file, read as they would be inside of a page. */
function fileOf({ name, text }: Resource, url: string): GraphicFile {
  const draft = new PageDraft({ name, url, html: text }, { scripting: false });
  const page = new Page(draft, { collected: draft.collect(new Map()), images: new Map() });
  let scene: Scene | null = null;
  return { document: page.document, style: (element) => (scene ??= page.scene(setting(SURVEYED[0]))).style(element) };
}

function* scriptsOf(draft: PageDraft, reader: Reader): Opening<readonly PageScript[]> {
  const all = draft.scripts();
  if (all.length > MOST.scripts) giveUp([draft], `more than ${MOST.scripts} scripts`);
  const taken = all.slice(0, MOST.scripts);
  const found = yield taken.map(
    (one): Question =>
      () =>
        'url' in one ? (reader.script?.(one.url) ?? null) : null,
  );
  const more = (draft.options.moreScripts ?? []).map(({ name, text }): PageScript => ({
    element: draft.document.root,
    when: 'after',
    module: false,
    address: null,
    name,
    source: new SourceText(name, text),
  }));
  const own = taken.map(({ element, when, module, ...one }, i): PageScript => {
    if ('text' in one) {
      const source = new SourceText(draft.text.name, one.text, one.offset, draft.document.source);
      return { element, when, module, address: null, name: draft.text.name, source };
    }
    const read = found[i] as Resource | null;
    if (!read && reader.script)
      draft.limits.add(
        'missing',
        `${namesChainLibrary(one.url) ? 'library' : 'script'} ${fileAddress(one.url, draft.text.root ?? null)}`,
        namesChainLibrary(one.url)
          ? 'it could not be read, and is taken for the library that its file is named after'
          : `${absence(one.url, draft.text.root ?? null)}: what it opens is not known`,
        element.startTag,
      );
    const source = read ? new SourceText(read.name, read.text) : null;
    return { element, when, module, address: one.url, name: read?.name ?? one.url, source };
  });
  return [...(yield* withImports(draft, own, reader)), ...more];
}

/** Which of the pages that links lead to are there. */
function* answersOf(draft: PageDraft, reader: Reader): Opening<Map<string, boolean | null>> {
  const wanted = reader.answers ? draft.destinations() : [];
  if (wanted.length > MOST.destinations) giveUp([draft], `more than ${MOST.destinations} destinations`);
  const asked = wanted.slice(0, MOST.destinations);
  const found = yield asked.map(
    (url): Question =>
      () =>
        reader.answers!(url),
  );
  return new Map(asked.map((url, i) => [url, found[i] as boolean | null]));
}

interface Read {
  readonly scripts: readonly PageScript[];
  readonly program: Program | null;
  readonly changes: readonly PossibleChange[];
}

/** What scripts do, those that they put into the page too, and what they may change: matched sheets must know. */
function* programOf(
  draft: PageDraft,
  own: readonly PageScript[],
  sheets: Parameters<typeof toldBySheets>[1],
  reader: Reader,
): Opening<Read> {
  const { document, text, options } = draft;
  const handled = document.elements.some((e) => [...e.attributes.keys()].some((name) => name.startsWith('on')));
  if (options.scripting === false || (own.length === 0 && !handled))
    return { scripts: own, program: null, changes: [] };
  const looks = SURVEYED.map((width): Look => {
    const medium = mediumOf(setting(width), true);
    const layouts = toldBySheets(document, sheets, medium);
    return { medium, touch: false, text: 'usual', scroll: { x: 0, y: 0 }, rung: 0, layouts };
  });
  let scripts = own;
  let program = new Program(document, text.url, scripts);
  for (let round = 0; round < BROUGHT_ROUNDS; round++) {
    const more = yield* broughtBy(program, looks[0]!, draft, reader);
    if (more.length === 0) break;
    scripts = [...scripts, ...more];
    program = new Program(document, text.url, scripts);
  }
  const changes = [...program.possible(looks)].flatMap(([element, attributes]) =>
    [...attributes].map(([attribute, classes]): PossibleChange => ({ element, attribute, classes: [...classes] })),
  );
  return { scripts, program, changes };
}

/** Scripts that put others into the page, which put in others, are followed so far. */
const BROUGHT_ROUNDS = 4;

/** The site's own scripts that others put into the page, as far as they can be read. */
function* broughtBy(
  program: Program,
  look: Look,
  { document, text }: PageDraft,
  reader: Reader,
): Opening<PageScript[]> {
  const base = baseUrl(document, text.url);
  const byUrl = grouped(
    program.brought(look).flatMap((address) => {
      const url = address === null ? null : resolveUrl(address, base);
      return url !== null && isOfSite(url, text.url) ? [{ url, address: address! }] : [];
    }),
    ({ url }) => url,
  );
  const wanted = [...byUrl.keys()].filter((url) => !program.scripts.some(({ address }) => address === url));
  const asked = reader.script ? wanted.slice(0, Math.max(0, MOST.scripts - program.scripts.length)) : [];
  const found = yield asked.map(
    (url): Question =>
      () =>
        reader.script!(url),
  );
  return asked.flatMap((url, i): PageScript[] => {
    const read = found[i] as Resource | null;
    if (!read) return [];
    const brought = byUrl.get(url)!.map(({ address }) => address);
    const source = new SourceText(read.name, read.text);
    return [{ element: document.root, when: 'after', module: false, address: url, name: read.name, source, brought }];
  });
}

function giveUp(drafts: readonly PageDraft[], subject: string): void {
  drafts[0]!.limits.add('budget', subject, 'those beyond were not read');
}
