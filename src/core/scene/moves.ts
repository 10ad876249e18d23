import type { PoseState } from '../cascade/index.js';
import { descendants, isAncestorOrSelf, type ElementNode, type HtmlDocument } from '../html/index.js';
import { indicated } from './fragment.js';

/** What a visitor does to one element. */
export interface Move {
  /** A press is that of a pointer, which hovers there; with a key it comes from the focus alone. */
  readonly by: 'hover' | 'focus' | 'press' | 'key';
  readonly element: ElementNode;
}

type Toggled = Map<ElementNode, boolean>;
interface Standing {
  hovered?: ElementNode | null;
  focused?: ElementNode | null;
  target?: ElementNode | null;
  changed?: NonNullable<PoseState['changed']>;
  readonly toggled: Toggled;
}

/**
 * How a page stands after moves, one after the other: what browsers do by themselves, without any script.
 * @param before how it stood
 * @spec html §6.4 (activation behaviour), §4.11.1 (details), §6.12 (popover), §4.10.6.1 (commands)
 */
export function poseAfter(document: HtmlDocument, moves: readonly Move[], before: PoseState = {}): PoseState {
  const pose: Standing = { ...before, toggled: new Map(before.toggled) };
  for (const { by, element } of moves) {
    if (by === 'hover' || by === 'press') pose.hovered = element;
    if (by === 'focus' || by === 'key') pose.focused = element;
    if (by === 'press' || by === 'key') press(document, element, pose);
  }
  const { toggled, ...rest } = pose;
  return toggled.size > 0 ? { ...rest, toggled } : rest;
}

const ACTIVE = new Set(['a', 'area', 'button', 'input', 'label', 'summary']);

/** What a press on an element sets going: the nearest thing around it that reacts. */
function press(document: HtmlDocument, element: ElementNode, pose: Standing): void {
  let active: ElementNode | null = element;
  while (active && !(ACTIVE.has(active.tag) && active.namespace === 'html')) active = active.parent;
  if (!active) return;
  pose.focused = active;
  if (active.tag === 'label') {
    const control = controlOf(active, document);
    if (control) press(document, control, pose);
  } else if (active.tag === 'summary') pressSummary(active, document, pose.toggled);
  else if (active.tag === 'input') pressInput(active, document, pose.toggled);
  else if (active.tag === 'button') pressButton(active, document, pose.toggled);
  else pressLink(active, document, pose);
}

/** The control a label stands for. @spec html §4.10.4 */
export function controlOf(label: ElementNode, document: HtmlDocument): ElementNode | null {
  const id = label.attributes.get('for');
  if (id !== undefined) return document.byId(id);
  return (
    [...descendants(label)].find((e) => /^(input|button|select|textarea)$/.test(e.tag) && typeOf(e) !== 'hidden') ??
    null
  );
}

const typeOf = (e: ElementNode): string => (e.attributes.get('type') ?? '').toLowerCase();
const isOn = (e: ElementNode, toggled: Toggled, attribute: string): boolean =>
  toggled.get(e) ?? e.attributes.has(attribute);

function pressSummary(summary: ElementNode, document: HtmlDocument, toggled: Toggled): void {
  const details = summary.parent;
  if (details?.tag !== 'details' || details.elements.find((e) => e.tag === 'summary') !== summary) return;
  const opens = !isOn(details, toggled, 'open');
  toggled.set(details, opens);
  const group = details.attributes.get('name');
  if (!opens || !group) return;
  for (const other of document.elements)
    if (other !== details && other.tag === 'details' && other.attributes.get('name') === group)
      toggled.set(other, false);
}

function pressInput(input: ElementNode, document: HtmlDocument, toggled: Toggled): void {
  if (input.attributes.has('disabled')) return;
  if (typeOf(input) === 'checkbox') toggled.set(input, !isOn(input, toggled, 'checked'));
  if (typeOf(input) === 'button') pressButton(input, document, toggled);
  if (typeOf(input) !== 'radio') return;
  const group = input.attributes.get('name');
  for (const other of document.elements)
    if (other.tag === 'input' && typeOf(other) === 'radio' && group && other.attributes.get('name') === group)
      toggled.set(other, other === input);
  toggled.set(input, true);
}

/** @spec html §6.12.2 (popovertarget), §4.10.6.1 (command, commandfor) */
function pressButton(button: ElementNode, document: HtmlDocument, toggled: Toggled): void {
  if (button.attributes.has('disabled')) return;
  const target = (name: string) => document.byId(button.attributes.get(name) ?? '');
  const popover = target('popovertarget');
  const action = (button.attributes.get('popovertargetaction') ?? 'toggle').toLowerCase();
  if (popover?.attributes.has('popover')) return show(popover, action, toggled, document);
  const commanded = target('commandfor');
  const command = (button.attributes.get('command') ?? '').toLowerCase();
  if (!commanded) return;
  const words = /^(show|hide|toggle)-popover$/.exec(command);
  if (words && commanded.attributes.has('popover')) show(commanded, words[1]!, toggled, document);
  else if (commanded.tag === 'dialog' && command === 'show-modal') toggled.set(commanded, true);
  else if (commanded.tag === 'dialog' && /^(request-)?close$/.test(command)) toggled.set(commanded, false);
}

/** An automatic popover that opens closes those it does not stand in. @spec html §6.12.1 */
function show(popover: ElementNode, action: string, toggled: Toggled, document: HtmlDocument): void {
  const on = action === 'show' ? true : action === 'hide' ? false : !(toggled.get(popover) ?? false);
  toggled.delete(popover);
  if (on && isAuto(popover))
    for (const other of document.elements)
      if (toggled.get(other) && isAuto(other) && !isAncestorOrSelf(other, popover)) toggled.set(other, false);
  toggled.set(popover, on);
}

const isAuto = (e: ElementNode): boolean =>
  e.attributes.has('popover') && !/^(manual|hint)$/i.test(e.attributes.get('popover')!);

function pressLink(link: ElementNode, document: HtmlDocument, pose: Standing): void {
  const href = link.attributes.get('href')?.trim() ?? '';
  if (href.startsWith('#')) pose.target = indicated(document, href.slice(1));
}
