import { bottom, formatPosition, positionOf, type LimitLog } from '../base/index.js';
import type { PoseState, StyleTree } from '../cascade/index.js';
import { descendants, selectorOf, type AttributeChanges, type ElementNode, type MarkupChanges } from '../html/index.js';
import type { After, Layouts, Look, Move, Program, Standing, Unread } from '../scripts/index.js';
import { classNamesChanged, type ChangeableMarkup } from './changeable.js';
import { resolveUrl, type SheetThreshold } from '../sheets/index.js';
import { generated, MadeStyles, printed } from './told-styles.js';
import { poseOf } from './moves.js';
import { scriptThresholds } from './script-thresholds.js';
import { isOfSite } from './addresses.js';
import type { Page } from './page.js';
import type { Scene } from './scene.js';
import { CLOSED, mediumOf, type Setting } from './setting.js';

/** Properties whose values hang on layout. */
const MEASURED = /^(width|height|top|right|bottom|left|margin|padding|transform)/;

/** A state of the page that scripts ask about. */
interface Asked extends Pick<Standing, 'version' | 'hovered' | 'focused'> {
  readonly standing: Standing;
  readonly setting: Setting;
  /** What was worked out of it. */
  scene?: Scene;
  styles?: StyleTree;
  /** How high what elements hold is, px. */
  readonly contents: Map<ElementNode, number>;
}

/** How scripts leave a page and what they make of moves, as poses. */
export class Scripted {
  #starting = false;
  #thresholds: readonly SheetThreshold[] | null = null;
  readonly #changes = new WeakMap<MarkupChanges, MarkupChanges>();
  readonly #told = new Set<string>();
  readonly #doubted = new Set<ElementNode>();
  #asked: Asked | null = null;
  readonly #poses = new WeakMap<After, PoseState>();
  readonly #made: MadeStyles;

  constructor(
    readonly program: Program,
    readonly page: Page,
    readonly changeable: ChangeableMarkup | null,
    readonly log: LimitLog,
  ) {
    this.#made = new MadeStyles(page);
  }

  /** Elements that scripts change in ways that could not be followed, as far as moves were asked for. */
  get doubted(): ReadonlySet<ElementNode> {
    return this.#doubted;
  }

  /** Widths at which the scripts decide otherwise. */
  get thresholds(): readonly SheetThreshold[] {
    return (this.#thresholds ??= scriptThresholds(this));
  }

  /** The page once its scripts have started. */
  rest(s: Setting): PoseState {
    // While scripts start, what they ask of layout is answered from the page as it was shipped.
    if (this.#starting) return CLOSED;
    this.#starting = true;
    try {
      const look = this.look(s);
      const after = this.program.rest(look);
      if (!this.#poses.has(after)) noteBrought(this.program.brought(look), this);
      return this.#poseOf(after);
    } finally {
      this.#starting = false;
    }
  }

  after(moves: readonly Move[], s: Setting): PoseState {
    this.rest(s);
    return this.#poseOf(this.program.after(moves, this.look(s)));
  }

  /** The longest wait before a move has changed all it changes, ms. */
  waited(moves: readonly Move[], s: Setting): number {
    return this.program.after(moves, this.look(s)).waited;
  }

  look(s: Setting): Look {
    const { width, scroll, visitor } = s;
    const rung = this.page.ruleSet.thresholds.filter(({ px, side }) =>
      side === 'from' ? width >= px : width > px,
    ).length;
    const text = /text/.test(visitor) ? visitor : 'usual';
    return { medium: mediumOf(s, true), rung, touch: visitor === 'touch', text, scroll, layouts: this.#layouts(s) };
  }

  /** The page as its scripts have made it so far, for as long as they change nothing. */
  #askedOf(standing: Standing, s: Setting): Asked {
    const { version, hovered, focused } = standing;
    const known = this.#asked;
    const like = (one: Setting) => one.width === s.width && one.height === s.height && one.visitor === s.visitor;
    const same = known?.standing === standing && known.version === version && like(known.setting);
    if (same && known.hovered === hovered && known.focused === focused) return known;
    const pose = poseOf(standing, this.#chosen(standing.changed));
    const setting = { ...s, scroll: { x: 0, y: 0 }, pose: { ...pose, changed: pose.changed ?? new Map() } };
    return (this.#asked = { standing, version, hovered, focused, setting, contents: new Map() });
  }

  #layouts(s: Setting): Layouts {
    const sceneOf = (standing: Standing): Scene => {
      const asked = this.#askedOf(standing, s);
      return (asked.scene ??= this.page.scene(asked.setting));
    };
    /** Styles alone, where no size or place is asked for. */
    const stylesOf = (standing: Standing): StyleTree => {
      const asked = this.#askedOf(standing, s);
      return (asked.styles ??= this.page.preview(asked.setting).styles);
    };
    return {
      whole: true,
      rect: (element, standing) => sceneOf(standing).rect(element),
      content: (element, standing) => {
        const scene = sceneOf(standing);
        const { contents } = this.#askedOf(standing, s);
        let known = contents.get(element);
        if (known === undefined) contents.set(element, (known = contentHeight(element, scene)));
        return known;
      },
      computed: (element, property, standing, pseudo) => {
        if (pseudo === null)
          return printed(
            MEASURED.test(property) ? sceneOf(standing).style(element) : stylesOf(standing).of(element),
            property,
          );
        return generated(stylesOf(standing), element, pseudo, property);
      },
      made: (element, property) => {
        const style = this.#made.styleOf(element, mediumOf(s, true));
        return style ? printed(style, property) : undefined;
      },
    };
  }

  #poseOf(after: After): PoseState {
    let pose = this.#poses.get(after);
    if (!pose) {
      pose = poseOf(after.standing, this.#allowed(after.standing.changed));
      for (const one of after.unread) {
        note(this.log, one);
        if (one.element) this.#doubted.add(one.element);
      }
      this.#poses.set(after, pose);
    }
    return pose;
  }

  /** Changes the page was told of before its sheets were matched; others are left out and said. */
  #allowed(changed: MarkupChanges): MarkupChanges {
    let known = this.#changes.get(changed);
    if (!known) this.#changes.set(changed, (known = this.#chosen(changed)));
    return known;
  }

  #chosen(changed: MarkupChanges): MarkupChanges {
    const out = new Map<ElementNode, AttributeChanges>();
    for (const [element, own] of changed) {
      const kept = [...own].filter(([name, value]) => this.#isKnown(element, name, value));
      if (kept.length > 0) out.set(element, new Map(kept));
    }
    return out;
  }

  #isKnown(element: ElementNode, name: string, value: string | null): boolean {
    const known =
      (this.changeable?.attribute(element, name) ?? false) &&
      (name !== 'class' || classNamesChanged(element, value).every((one) => this.changeable!.hasClass(element, one)));
    const key = `${element.index} ${name}`;
    if (!known && !this.#told.has(key)) {
      this.#told.add(key);
      this.#doubted.add(element);
      this.log.add(
        'unread',
        `script: ${name} of ${selectorOf(element)}`,
        'a script changes it in a way that was not foreseen: if that opens or closes a part of a menu, it is not judged',
        element.startTag,
      );
    }
    return known;
  }
}

function contentHeight(element: ElementNode, scene: Scene): number {
  const own = scene.rect(element);
  if (!own) return 0;
  const inner = [...descendants(element)].flatMap((e) => scene.rect(e) ?? []);
  return Math.max(own.height, ...inner.map((rect) => bottom(rect) - own.y));
}

/** Scripts that others put into the page: those of another site seldom have to do with its menus, and are only said. */
function noteBrought(addresses: readonly (string | null)[], { program, page, log }: Scripted): void {
  for (const address of addresses) {
    const url = address === null ? null : resolveUrl(address, page.base);
    if (program.scripts.some((one) => one.source !== null && one.address === url)) continue;
    const own = url === null || isOfSite(url, page.url);
    log.add(
      'missing',
      `${own ? 'script' : 'another site’s script'} ${address ?? 'of an address that is put together'}`,
      'another script puts it into the page, and it is not followed',
    );
  }
}

function note(log: LimitLog, { what, span, element }: Unread): void {
  const place = span ? formatPosition(positionOf(span)) : null;
  const on = element ? `: ${selectorOf(element)}` : '';
  log.add(
    'unread',
    `script ${span?.source.name ?? ''}${on}`.trim(),
    `${what}${place ? ` (${place})` : ''}: if that opens or closes a part of a menu, it is not judged`,
    span,
  );
}
