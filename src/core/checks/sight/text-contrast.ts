import { contrastRatio, luminance, type Rgba } from '../../css/index.js';
import { figure, type Cause, type State } from '../../findings/index.js';
import type { PaintItem } from '../../paint/index.js';
import { boundsOf, elementOf } from '../../paint/index.js';
import type { Scene } from '../../scene/index.js';
import { defineCheck, type Look, type Observation } from '../define.js';
import { causeOf } from '../shared/causes.js';
import { hexOf, passingColour } from '../shared/colours.js';
import { isDisabled, seenControls, type Control } from '../shared/controls.js';
import { textsIn } from '../shared/texts.js';

const LARGE = 24;
const LARGE_BOLD = 18.66;

/** Contrast of every item's text with what lies beneath it, in each state. @spec WCAG 2.2 SC 1.4.3, 1.4.6 */
export const textContrast = defineCheck(
  {
    id: 'text-contrast',
    title: 'Menu text stands out from its ground',
    weight: 'hinders',
    criteria: [{ number: '1.4.3', level: 'AA' }],
    messages: {
      low: {
        says: '“{label}” is {ink} on {ground}{when}: contrast {ratio}:1 where {needed}:1 is needed. People with low vision, or on a phone in the sun, may not be able to read it.',
        mends: '{remedy}',
      },
      hopeless: {
        says: '“{label}” is {ink} on {ground}{when}: contrast {ratio}:1 where {needed}:1 is needed, and no single text colour passes on every part of this ground.',
        mends: 'Calm the ground first: one colour beneath the text instead of a run of light and dark.',
      },
      unknown: {
        says: '“{label}” lies on something whose colours cannot be told from the style sheets ({what}){when}. It may be hard to read.',
        mends:
          'Look at the text where the picture beneath it is lightest and darkest, or put a solid ground behind it.',
      },
    },
  },
  (look) => [...atRest(look), ...inStates(look)],
);

/** Properties whose change leaves text and ground as they are. */
const COLOURLESS =
  /^(outline.*|box-shadow|text-decoration.*|transition.*|animation.*|cursor|border(-.*)?-(radius|color)|text-underline-offset)$/;

function atRest(look: Look): Observation[] {
  return seenControls(look.menus, look.scene)
    .filter((control) => !isDisabled(control.element))
    .flatMap((control) => worst(control, look.scene, control.item?.current ? 'current' : 'normal', look));
}

/** Hover and focus, where they change anything. */
function inStates(look: Look): Observation[] {
  const out: Observation[] = [];
  for (const control of seenControls(look.menus, look.scene)) {
    if (isDisabled(control.element)) continue;
    for (const state of ['hover', 'focus'] as const) {
      if ([...look.page.touchedBy(state, control.element)].every((name) => COLOURLESS.test(name))) continue;
      const scene = look.recoloured(state === 'hover' ? { hovered: control.element } : { focused: control.element });
      if (!changes(control, look.scene, scene)) continue;
      out.push(...worst(control, scene, state, look).filter((o) => !sameAsAtRest(o, control, look)));
    }
  }
  return out;
}

/** The state shows what is wrong at rest already. */
function sameAsAtRest(o: Observation, control: Control, look: Look): boolean {
  const rest = worst(control, look.scene, control.item?.current ? 'current' : 'normal', look)[0];
  return rest !== undefined && rest.data.ink === o.data.ink && rest.data.ground === o.data.ground;
}

function changes(control: Control, before: Scene, after: Scene): boolean {
  for (let e: Control['element'] | null = control.element; e; e = e.parent)
    if (before.style(e) !== after.style(e)) return true;
  return textsIn(control.element, before).some(
    (item) => before.paintStyle(item.node.box) !== after.paintStyle(item.node.box),
  );
}

interface Reading {
  readonly ratio: number;
  readonly needed: number;
  readonly ink: Rgba;
  readonly ground: Rgba;
  readonly grounds: readonly Rgba[];
  readonly item: PaintItem;
}

/** The text of a control that stands out least, if it fails; or what could not be told. */
function worst(control: Control, scene: Scene, state: State, look: Look): Observation[] {
  let low: Reading | null = null;
  let unknown: { item: PaintItem; what: string } | null = null;
  for (const item of textsIn(control.element, scene)) {
    if (!isShown(item, scene)) continue;
    const reading = read(item, scene, look);
    if ('what' in reading) unknown ??= reading;
    else if (!low || reading.ratio / reading.needed < low.ratio / low.needed) low = reading;
  }
  const base = { element: control.element, menu: control.menu, state };
  const label =
    control.item?.label ||
    control.menu.toggles.find((t) => t.element === control.element)?.label ||
    control.element.tag;
  const when =
    state === 'hover'
      ? ' under the pointer'
      : state === 'focus'
        ? ' with focus'
        : state === 'current'
          ? ' (current page)'
          : '';
  if (low && low.ratio < low.needed) {
    const remedy = remedyFor(low);
    return [
      {
        ...base,
        message: remedy ? 'low' : 'hopeless',
        data: {
          label,
          when,
          ink: hexOf(low.ink),
          ground: hexOf(low.ground),
          ratio: floor(low.ratio),
          needed: low.needed,
          remedy: remedy?.says ?? '',
        },
        measured: figure(floor(low.ratio), ':1'),
        needed: figure(low.needed, ':1'),
        cause:
          remedy?.of === 'ground'
            ? groundCause(low.item, scene)
            : causeOf(scene.paintStyle(low.item.node.box), 'color'),
      },
    ];
  }
  if (!unknown || state === 'hover' || state === 'focus') return [];
  return [{ ...base, message: 'unknown', verdict: 'look', data: { label, when, what: unknown.what } }];
}

/** What to change and what that starts with. */
interface Remedy {
  readonly says: string;
  readonly of: 'text' | 'ground';
}

/** The nearest colours that pass, the smaller change first; null where no text colour suits all of the ground. */
function remedyFor({ ink, ground, grounds, needed }: Reading): Remedy | null {
  const text = passingColour(ink, ground, needed);
  const options: { readonly of: Remedy['of']; readonly share: number; readonly colour: Rgba }[] = [];
  if (text && passesOn(text.colour, grounds, needed)) options.push({ of: 'text', ...text });
  const other = grounds.length === 1 ? passingColour(ground, ink, needed) : null;
  if (other) options.push({ of: 'ground', ...other });
  const [best, second] = options.sort((a, b) => a.share - b.share);
  if (!best) return null;
  // A second way is only worth naming if it is no far cry from what is there.
  const both = second && second.share < 0.6 ? [best, second] : [best];
  const named = both.map((o) => `the ${o.of} ${hexOf(o.colour)}`).join(' or ');
  return { of: best.of, says: `Make ${named} (${both.length > 1 ? 'either gives' : 'that gives'} ${needed}:1).` };
}

/** The declaration of the nearest ground behind a text. */
function groundCause(item: PaintItem, scene: Scene): Cause | null {
  for (let e = elementOf(item); e; e = e.parent) {
    const style = scene.style(e);
    if (style.backgroundColor.a > 0) return causeOf(style, 'backgroundColor');
  }
  return null;
}

/** On a ground that runs from one colour to another, a colour in between is met somewhere. */
function passesOn(ink: Rgba, grounds: readonly Rgba[], needed: number): boolean {
  const levels = grounds.map(luminance);
  const own = luminance(ink);
  const between = own > Math.min(...levels) && own < Math.max(...levels);
  return !between && grounds.every((g) => contrastRatio(ink, g) >= needed - 0.01);
}

const floor = (ratio: number): number => Math.floor(ratio * 100) / 100;

function isShown(item: PaintItem, scene: Scene): boolean {
  const element = elementOf(item);
  return (
    element !== null &&
    scene.seen(element) !== null &&
    scene.paintStyle(item.node.box).fontSize >= 1 &&
    scene.isVisible(element)
  );
}

function read(item: PaintItem, scene: Scene, look: Look): Reading | { item: PaintItem; what: string } {
  const style = scene.paintStyle(item.node.box);
  const large = style.fontSize >= LARGE || (style.fontSize >= LARGE_BOLD && style.fontWeight >= 700);
  const needed = look.level === 'AAA' ? (large ? 4.5 : 7) : large ? 3 : 4.5;
  let low: { ratio: number; ink: Rgba; ground: Rgba } | null = null;
  const grounds: Rgba[] = [];
  for (const { x, y } of scene.samples(boundsOf(item.node.matrix, item.node.rect))) {
    const under = scene.backdrop(x, y, item, null);
    if (under.unknown.length > 0) return { item, what: short(under.unknown[0]!) };
    const inked = scene.backdrop(x, y, item, style.color).colours;
    under.colours.forEach((ground, i) => {
      const ink = inked.length === under.colours.length ? inked[i]! : inked[0]!;
      const ratio = contrastRatio(ink, ground);
      if (!low || ratio < low.ratio) low = { ratio, ink, ground };
    });
    grounds.push(...under.colours.filter((c) => !grounds.some((g) => hexOf(g) === hexOf(c))));
  }
  const { ratio, ink, ground } = low!;
  return { ratio, needed, ink, ground, grounds, item };
}

const short = (what: string): string =>
  what.startsWith('data:') ? 'an embedded picture' : what.length > 60 ? `${what.slice(0, 57)}…` : what;
