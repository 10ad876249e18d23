import { Kept, type Limit, type LimitLog, type SourceText } from '../base/index.js';
import {
  bundledMetrics,
  layoutDocument,
  makeLayout,
  type Box,
  type ImageSizes,
  type NaturalSize,
  type LayoutMemory,
  type LineBreaks,
  type TextMetrics,
} from '../boxes/index.js';
import { Cascade, matchDocument, spacedOut, stateView, type Explanation, type StyleTree } from '../cascade/index.js';
import { AFFECTS, compileSelectors, holds, restContext, type Affects } from '../css/index.js';
import type { ElementNode, HtmlDocument } from '../html/index.js';
import { baseUrl, resolveUrl, type Declaration, type RuleSet, type SheetThreshold } from '../sheets/index.js';
import { Bases } from './bases.js';
import { BoxTrees } from './box-trees.js';
import { withoutFragment, type DeclaredMenu, type PageDraft } from './draft.js';
import type { GraphicFile, GraphicFiles } from './graphics/files.js';
import { settingKey } from './change-keys.js';
import { containerSizes } from './container-sizes.js';
import { ChangeableMarkup, classNamesChanged, nativeChanges, type PossibleChange } from './changeable.js';
import { fontUnits } from './font-units.js';
import { Glance } from './glance.js';
import { Hearing } from './hearing.js';
import { settleNear } from './skipped.js';
import { Scene } from './scene.js';
import { byWidth } from './script-thresholds.js';
import { Scripted } from './scripted.js';
import { CLOSED, mediumOf, setting, withoutScript, type Setting, type Visitor } from './setting.js';
import type { Program } from '../scripts/index.js';
import { type Touched, touchedProperties } from './touched.js';

/** What a page refers to, as far as it was read. */
export interface PageParts {
  readonly collected: ReturnType<PageDraft['collect']>;
  /** Natural sizes of images in px, by absolute URL. */
  readonly images: ReadonlyMap<string, NaturalSize | null>;
  /** Fonts; the shipped tables if left out. */
  readonly metrics?: TextMetrics;
  /** Line breaking by the whole of UAX 14; without it text outside European scripts is broken at spaces. */
  readonly breaks?: LineBreaks;
  /** Texts of the page's scripts, in document order. */
  readonly scripts?: readonly SourceText[];
  /** Whether something answers where links lead, by absolute URL without fragment; null where that is not known. */
  readonly answers?: ReadonlyMap<string, boolean | null>;
  /** The same page with text of unknown fonts wider or narrower by a factor. */
  readonly stretched?: (factor: number) => Page;
  /** The same page as browsers without scripts read it, where it differs. */
  readonly scriptless?: () => Page;
  /** What the page's scripts do, as far as it can be read off them. */
  readonly program?: Program;
  /** Attributes openings can change: poses may change these and no others. */
  readonly changes?: readonly PossibleChange[];
  /** Files of graphics, by absolute URL without fragment. */
  readonly graphics?: ReadonlyMap<string, GraphicFile>;
}

/** Scenes of a page that are kept: fewer of long pages. */
const MOST_SCENES = 400;
const LEAST_SCENES = 60;
const ELEMENTS_KEPT = 200_000;
const scenesKept = ({ elements }: HtmlDocument): number =>
  Math.min(MOST_SCENES, Math.max(LEAST_SCENES, Math.floor(ELEMENTS_KEPT / elements.length)));
const LATEST_KEPT = 12;
const COMMON_WIDTH = 1280;
/** Text at 200 %. */
const LARGE = 2;

/** A pose before it is laid out. */
export interface Preview {
  /** The closed pose. */
  readonly base: Scene;
  readonly styles: StyleTree;
  /** Whether boxes change; otherwise the pose only recolours. */
  readonly moves: boolean;
}

/** A page ready to be looked at: parsed and matched once, laid out at any setting. */
export class Page {
  readonly name: string;
  readonly url: string;
  /** URL of the folder the site's addresses are told from; null where it is not known. */
  readonly root: string | null;
  readonly document: HtmlDocument;
  readonly ruleSet: RuleSet;
  readonly declaredMenus: readonly DeclaredMenu[];
  /** Texts of the scripts the page loads, as far as they were read. */
  readonly scripts: readonly SourceText[];
  /** Whether something answers where links lead, by absolute URL without fragment; null where that is not known. */
  readonly answers: ReadonlyMap<string, boolean | null>;
  readonly #makeScriptless: (() => Page) | null;
  readonly #makeStretched: ((factor: number) => Page) | null;
  readonly #stretched = new Map<number, Page>();
  #scriptless: Page | null = null;
  readonly #log: LimitLog;
  readonly #cascade: Cascade;
  readonly #metrics: TextMetrics;
  readonly #breaks: LineBreaks | null;
  readonly #scenes: Kept<string, Scene>;
  readonly #trees: BoxTrees;
  readonly #scripting: boolean;
  readonly #files: GraphicFiles;
  readonly #scripted: Scripted | null;
  #thresholds: readonly SheetThreshold[] | null = null;
  readonly #changeable: ChangeableMarkup | null;
  /** Whether anything depends on the sizes of containers. */
  readonly #asksContainers: boolean;
  #touched: Touched | null = null;
  /** Poses laid out last: what comes next is often one of them in other colours. */
  readonly #latest: Scene[] = [];
  readonly #bases: Bases;
  #previewed: (Preview & { readonly pose: Setting['pose'] }) | null = null;
  #drivenByScroll: boolean | null = null;
  #glance: Glance | null = null;
  #hearing: Hearing | null = null;
  readonly #readings = new Map<Visitor, Cascade>();

  constructor(draft: PageDraft, parts: PageParts) {
    const { text, options } = draft;
    this.name = text.name;
    this.url = text.url;
    this.root = text.root ?? null;
    this.#log = draft.limits;
    this.#scripting = options.scripting ?? true;
    this.declaredMenus = options.menus ?? [];
    this.#metrics = parts.metrics ?? bundledMetrics;
    this.#breaks = parts.breaks ?? null;
    this.document = draft.document;
    this.#scenes = new Kept(scenesKept(this.document));
    this.ruleSet = parts.collected.ruleSet;
    this.#log.merge(parts.collected.limits.list());
    this.scripts = parts.scripts ?? [];
    this.answers = parts.answers ?? new Map();
    this.#makeScriptless = parts.scriptless ?? null;
    this.#makeStretched = parts.stretched ?? null;
    const asks = /\dcq(w|h|i|b|min|max)\b/i;
    this.#asksContainers = this.ruleSet.rules.some(
      (r) => r.containers.length > 0 || r.declarations.some((d) => asks.test(d.text)),
    );
    const base = baseUrl(this.document, text.url);
    const images: ImageSizes = (reference, from) => {
      const url = resolveUrl(reference, (from && this.ruleSet.addresses.get(from.source)) ?? base);
      return url === null ? null : (parts.images.get(url) ?? null);
    };
    this.#files = (reference) => parts.graphics?.get(withoutFragment(resolveUrl(reference, base) ?? '')) ?? null;
    const changes = [...nativeChanges(this.document), ...(parts.changes ?? [])];
    this.#changeable = changes.length === 0 ? null : new ChangeableMarkup(changes);
    const matched = matchDocument(this.document, this.ruleSet, this.#log, this.#changeable);
    this.#cascade = new Cascade(matched, fontUnits(this.#metrics));
    this.#scripted = parts.program ? new Scripted(parts.program, this, this.#changeable, this.#log) : null;
    this.#trees = new BoxTrees(this.document, this.ruleSet, images, this.#metrics, this.#log);
    this.#bases = new Bases(this.#trees, this.document.elements);
  }

  /** The URL the page's own references start from. */
  get base(): string {
    return baseUrl(this.document, this.url);
  }

  /** The fonts the page's text is measured in. */
  get metrics(): TextMetrics {
    return this.#metrics;
  }

  /** The page as a browser without scripts reads it: the same one where nothing is written for such browsers. */
  get scriptless(): Page {
    return (this.#scriptless ??= this.#makeScriptless?.() ?? this);
  }

  /** The page with text of unknown fonts wider or narrower by a factor; null where it cannot be made. */
  stretched(factor: number): Page | null {
    let known = this.#stretched.get(factor) ?? null;
    if (!known && this.#makeStretched) this.#stretched.set(factor, (known = this.#makeStretched(factor)));
    return known;
  }

  get limits(): readonly Limit[] {
    return this.#log.list();
  }

  /** The strongest thing a state of an element may change anywhere on the page, read off the rules that ask for it. */
  touchedBy(state: 'hover' | 'focus' | 'checked', element: ElementNode): Affects {
    this.#touched ??= touchedProperties(this.#cascade.matched);
    if (state === 'checked') return AFFECTS[this.#touched.get(state)?.get(element) ?? 0]!;
    let most = 0;
    for (let e: ElementNode | null = element; e; e = e.parent) {
      const own =
        state === 'hover' ? ['hover'] : e === element ? ['focus', 'focus-visible', 'focus-within'] : ['focus-within'];
      for (const name of own) most = Math.max(most, this.#touched.get(name)?.get(e) ?? 0);
    }
    return AFFECTS[most]!;
  }

  /** Computed styles alone at a width, without layout: container queries count as not holding. */
  styles(width: number, height = 800): StyleTree {
    return this.#cascade.styles(mediumOf(setting(width, { height }), this.#scripting), stateView(CLOSED));
  }

  /** Styles and attributes at rest on a common screen, remembered: what names are told from where no scene is at hand. */
  get glance(): Glance {
    return (this.#glance ??= new Glance(this.document, this.styles(COMMON_WIDTH), this.#metrics));
  }

  /** Elements a selector matches at rest, in document order. Throws SelectorError if it is none. */
  find(selector: string): readonly ElementNode[] {
    const compiled = compileSelectors(selector);
    const { document } = this;
    const context = restContext(document.root, document);
    const rest = stateView({});
    return document.elements.filter((e) => compiled.some((s) => holds(s.match(e, context), rest)));
  }

  /** The cascade a visitor reads by. */
  #cascadeFor(visitor: Visitor): Cascade {
    if (visitor !== 'large-text' && visitor !== 'text-spacing') return this.#cascade;
    let known = this.#readings.get(visitor);
    if (!known) {
      const { matched, fontUnits } = this.#cascade;
      known =
        visitor === 'large-text' ? new Cascade(matched, fontUnits, LARGE) : new Cascade(spacedOut(matched), fontUnits);
      this.#readings.set(visitor, known);
    }
    return known;
  }

  /** What became of every declaration of a longhand on an element at a setting. */
  explain(element: ElementNode, index: number, s: Setting): Explanation {
    return this.#cascadeFor(s.visitor).explain(element, index, this.scene(s).styles);
  }

  /** Every declaration of a property that some rule makes on an element, whatever it hangs on. */
  declarationsOf(element: ElementNode, name: string): readonly Declaration[] {
    const { own } = this.#cascade.matched.byElement[element.index]!;
    return own.flatMap(({ declarations }) => declarations.filter((one) => one.name === name));
  }

  /** Whether any rule under a media condition speaks of an element or its pseudo-elements. */
  conditionTouches(text: string, element: ElementNode): boolean {
    const { own, pseudo } = this.#cascade.matched.byElement[element.index]!;
    return [own, ...pseudo.values()].some((list) => list.some((m) => m.conditions.some((c) => c.text === text)));
  }

  /**
   * The page at a setting; equal settings give the same scene.
   * @param near a scene at the same width in a pose that is like it: what it shares with that is not worked out again
   */
  scene(given: Setting, near?: Scene): Scene {
    const s = this.#standing(given);
    return this.#scenes.get(settingKey(s), () => this.#make(s, near));
  }

  /** Widths at which conditions of its sheets, and of its scripts, change: in order. */
  get thresholds(): readonly SheetThreshold[] {
    return (this.#thresholds ??= [...this.ruleSet.thresholds, ...this.scriptThresholds].sort(byWidth));
  }

  /** Those of its scripts alone. */
  get scriptThresholds(): readonly SheetThreshold[] {
    return this.#scripting && this.#scripted ? this.#scripted.thresholds : [];
  }

  /** What the page's scripts do; null without any, and for those who do without. */
  scriptsFor(visitor: Visitor): Scripted | null {
    return this.#scripting && !withoutScript(visitor) ? this.#scripted : null;
  }

  /** Whether anything of the page hangs on how far it is scrolled, beside what sticks. */
  heedsScroll(s: Setting): boolean {
    this.#drivenByScroll ??= this.ruleSet.rules.some((rule) =>
      rule.declarations.some(({ name, text }) => name === 'animation-timeline' && !/^(auto|none)$/.test(text)),
    );
    const scripted = this.scriptsFor(s.visitor);
    return this.#drivenByScroll || (scripted !== null && scripted.program.heedsScroll(scripted.look(s)));
  }

  /** What its scripts listen to. */
  get hearing(): Hearing {
    return (this.#hearing ??= new Hearing(this.#scripted));
  }

  /** The pose a page is in before anyone does anything: as its scripts leave it. */
  restingPose(s: Setting): Setting['pose'] {
    return this.scriptsFor(s.visitor)?.rest(s) ?? CLOSED;
  }

  /** A pose that says nothing of scripts starts from what they leave. */
  #standing(given: Setting): Setting {
    // Whoever uses the keyboard sees the page as whoever uses the mouse.
    const s: Setting = given.visitor === 'keyboard' ? { ...given, visitor: 'mouse' } : given;
    if (s.pose.changed !== undefined || !this.#scripted) return s;
    const rest = this.restingPose(s);
    const { changed, toggled } = rest;
    if (changed === undefined || (changed.size === 0 && !toggled)) return s;
    const all = toggled || s.pose.toggled ? { toggled: new Map([...(toggled ?? []), ...(s.pose.toggled ?? [])]) } : {};
    return { ...s, pose: isEmpty(s.pose) ? rest : { ...s.pose, ...all, changed } };
  }

  /** Whether a pose is the one everything else is seen from. */
  #isBase(s: Setting): boolean {
    return isEmpty(s.pose) || s.pose === this.#standing({ ...s, pose: CLOSED }).pose;
  }

  /** Poses may change what was handed in before matching; anything else would be looked at wrongly. */
  #allow({ changed }: Setting['pose']): void {
    for (const [element, attributes] of changed ?? [])
      for (const [name, value] of attributes) {
        const known = this.#changeable?.attribute(element, name) ?? false;
        const names = name === 'class' ? classNamesChanged(element, value) : [];
        if (!known || names.some((one) => !this.#changeable!.hasClass(element, one)))
          throw new Error(`${element.path}: the page was not told that ${names[0] ?? name} can change`);
      }
  }

  #make(s: Setting, near: Scene | undefined): Scene {
    const { x, y } = s.scroll;
    if (x !== 0 || y !== 0) return this.scene({ ...s, scroll: { x: 0, y: 0 } }).scrolledTo(s);
    this.#allow(s.pose);
    const medium = mediumOf(s, this.#scripting);
    if (!this.#isBase(s)) return this.#posed(s, near);
    const styles = this.#cascadeFor(s.visitor).styles(medium, stateView(s.pose));
    return this.#settled(
      s,
      this.#bases.scene(s, styles, (like) => this.#laidOut(s, styles, like)),
    );
  }

  /** Answers container queries from layout until they no longer change. @spec css-contain-3 §6.1 */
  #settled(s: Setting, first: Scene): Scene {
    if (!this.#asksContainers) return first;
    let scene = first;
    for (let round = 0; round < CONTAINER_ROUNDS; round++) {
      const sizes = containerSizes(scene);
      const known = scene.styles.sizes;
      const same = [...sizes].every(
        ([e, size]) => known.get(e)?.width === size.width && known.get(e)?.height === size.height,
      );
      if (same) return scene;
      scene = this.#laidOut(s, this.#cascadeFor(s.visitor).styles(scene.medium, stateView(s.pose), sizes));
    }
    this.#log.add('budget', '@container', 'a query kept changing its own answer; the last one was taken');
    return scene;
  }

  /** What a pose changes beside another one at the same width, before anything is laid out. */
  preview(s: Setting, base = this.scene({ ...s, pose: CLOSED })): Preview {
    const latest = this.#previewed;
    if (latest?.base === base && latest.pose === s.pose) return latest;
    const styles = this.#cascadeFor(s.visitor).posed(base.styles, stateView(s.pose));
    const made = { base, styles, moves: !this.#trees.recolours(base.styles, styles), pose: s.pose };
    this.#previewed = made;
    return made;
  }

  /** A state that only recolours shares layout and painting with the closed pose. */
  #posed(s: Setting, from: Scene | undefined): Scene {
    const { base, styles, moves } = this.preview(s, from);
    if (!moves) return base.recoloured(s, styles);
    const near = this.#latest.find(
      (one) => one.setting.visitor === s.visitor && this.#trees.recoloursBeside(one.styles, styles),
    );
    if (near) return near.recoloured(s, styles);
    const scene = this.#laidOut(s, styles, base);
    this.#latest.unshift(scene);
    if (this.#latest.length > LATEST_KEPT) this.#latest.pop();
    return scene;
  }

  #laidOut(s: Setting, styles: StyleTree, near: Scene | null = null): Scene {
    const { medium } = styles;
    const { tree, memory: known } = this.#trees.for(styles, near);
    const scene = (reached: ReadonlySet<Box> | null, memory: LayoutMemory): Scene => {
      const { quirks, limitedQuirks: looseLines } = this.document;
      const { width, height } = medium;
      const shared = { metrics: this.#metrics, breaks: this.#breaks, limits: this.#log, quirks, looseLines };
      const layout = makeLayout({ ...shared, viewport: { width, height }, near: reached }, memory);
      return new Scene({
        setting: s,
        document: this.document,
        styles,
        metrics: this.#metrics,
        boxes: tree,
        layout: layoutDocument(tree.root, layout),
        memory,
        files: this.#files,
      });
    };
    return tree.deferring.length === 0 ? scene(null, known) : settleNear(tree.deferring, scene);
  }
}

const isEmpty = (pose: Setting['pose']): boolean => Object.keys(pose).length === 0;
const CONTAINER_ROUNDS = 6;
