import {
  closest,
  descendants,
  indicated,
  isAncestorOrSelf,
  radioGroup,
  type ElementNode,
  type HtmlDocument,
} from '../html/index.js';
import type { Standing } from './standing.js';

/** Whoever acts on a page: how it stands, and what hears of it. */
export interface Actor {
  readonly document: HtmlDocument;
  readonly standing: Standing;
  /** Sets a checked, open or popover state. */
  toggle(element: ElementNode, on: boolean): void;
  /** Fires an event; true if what browsers do of themselves was prevented. */
  fire(element: ElementNode, type: string, init?: Readonly<Record<string, string | boolean | number>>): boolean;
}

const ACTIVE = new Set(['a', 'area', 'button', 'input', 'label', 'summary', 'select', 'textarea']);

const typeOf = (e: ElementNode): string => (e.attributes.get('type') ?? '').toLowerCase();
const isSwitch = (e: ElementNode): boolean => e.tag === 'input' && /^(checkbox|radio)$/.test(typeOf(e));
const isDisabled = (e: ElementNode, { standing }: Actor): boolean => standing.attribute(e, 'disabled') !== undefined;

/** The nearest thing at or around an element that reacts to presses by itself. */
export const activeAt = (element: ElementNode): ElementNode | null =>
  closest(element, (e) => e.namespace === 'html' && ACTIVE.has(e.tag));

/** The control a label stands for. @spec html §4.10.4 */
export function controlOf(label: ElementNode, document: HtmlDocument): ElementNode | null {
  const id = label.attributes.get('for');
  if (id !== undefined) return document.byId(id);
  return (
    [...descendants(label)].find((e) => /^(input|button|select|textarea)$/.test(e.tag) && typeOf(e) !== 'hidden') ??
    null
  );
}

/** A press reaches an element: what listens hears of it, then browsers do their part. @spec html §6.4.4 (activation) */
export function click(actor: Actor, element: ElementNode): void {
  const active = activeAt(element);
  if (active && active.tag !== 'label' && isDisabled(active, actor)) return;
  const undo = active && isSwitch(active) ? flip(active, actor) : null;
  if (actor.fire(element, 'click')) {
    undo?.();
    return;
  }
  if (!active) return;
  if (undo) {
    actor.fire(active, 'input');
    actor.fire(active, 'change');
  } else activate(active, element, actor);
}

function activate(active: ElementNode, pressed: ElementNode, actor: Actor): void {
  if (active.tag === 'label') {
    const control = controlOf(active, actor.document);
    if (control && !isAncestorOrSelf(control, pressed)) click(actor, control);
  } else if (active.tag === 'summary') pressSummary(active, actor);
  else if (active.tag === 'button' || (active.tag === 'input' && /^(button|submit|image)$/.test(typeOf(active))))
    pressButton(active, actor);
  else if (active.tag === 'a' || active.tag === 'area') pressLink(active, actor);
}

/** Switches a box or radio button before anyone hears of it. @returns what takes it back */
function flip(input: ElementNode, actor: Actor): () => void {
  const { document, standing } = actor;
  const before = standing.isOn(input, 'checked');
  if (typeOf(input) === 'checkbox') {
    actor.toggle(input, !before);
    return () => actor.toggle(input, before);
  }
  const others = radioGroup(input, document.elements).filter((e) => e !== input && standing.isOn(e, 'checked'));
  for (const other of others) actor.toggle(other, false);
  actor.toggle(input, true);
  return () => {
    actor.toggle(input, before);
    for (const other of others) actor.toggle(other, true);
  };
}

/** @spec html §4.11.1 */
function pressSummary(summary: ElementNode, actor: Actor): void {
  const details = summary.parent;
  if (details?.tag !== 'details' || details.elements.find((e) => e.tag === 'summary') !== summary) return;
  const opens = !actor.standing.isOn(details, 'open');
  actor.toggle(details, opens);
  actor.fire(details, 'toggle', { newState: opens ? 'open' : 'closed' });
  const group = details.attributes.get('name');
  if (!opens || !group) return;
  for (const other of actor.document.elements) {
    if (
      other === details ||
      other.tag !== 'details' ||
      other.attributes.get('name') !== group ||
      !actor.standing.isOn(other, 'open')
    )
      continue;
    actor.toggle(other, false);
    actor.fire(other, 'toggle', { newState: 'closed' });
  }
}

/** @spec html §6.12.2 (popovertarget), §4.10.6.1 (command, commandfor) */
function pressButton(button: ElementNode, actor: Actor): void {
  const target = (name: string) => actor.document.byId(button.attributes.get(name) ?? '');
  const popover = target('popovertarget');
  const action = (button.attributes.get('popovertargetaction') ?? 'toggle').toLowerCase();
  if (popover?.attributes.has('popover')) return show(popover, action, actor);
  const commanded = target('commandfor');
  const command = (button.attributes.get('command') ?? '').toLowerCase();
  if (!commanded) return submitDialog(button, actor);
  if (actor.fire(commanded, 'command', { command })) return;
  const words = /^(show|hide|toggle)-popover$/.exec(command);
  if (words && commanded.attributes.has('popover')) show(commanded, words[1]!, actor);
  else if (commanded.tag === 'dialog' && command === 'show-modal') actor.toggle(commanded, true);
  else if (commanded.tag === 'dialog' && /^(request-)?close$/.test(command)) actor.toggle(commanded, false);
}

/** A form of dialogs that is sent closes the dialog it stands in. @spec html §4.10.22.3 (form submission, dialog) */
function submitDialog(button: ElementNode, actor: Actor): void {
  if (button.attributes.has('command') || !/^(submit|image|)$/.test(typeOf(button))) return;
  const owner = button.attributes.get('form');
  const form = owner === undefined ? closest(button, (e) => e.tag === 'form') : actor.document.byId(owner);
  const method = button.attributes.get('formmethod') ?? form?.attributes.get('method') ?? '';
  const dialog = form && closest(form, (e) => e.tag === 'dialog');
  if (!dialog || method.toLowerCase() !== 'dialog' || !actor.standing.isOn(dialog, 'open')) return;
  if (actor.fire(form, 'submit')) return;
  actor.toggle(dialog, false);
  actor.fire(dialog, 'close');
}

const isAuto = (e: ElementNode): boolean =>
  e.attributes.has('popover') && !/^(manual|hint)$/i.test(e.attributes.get('popover')!);

/** An automatic popover that opens closes those it does not stand in. @spec html §6.12.1 */
function show(popover: ElementNode, action: string, actor: Actor): void {
  const { standing } = actor;
  const was = standing.toggled.get(popover) ?? false;
  const on = action === 'show' ? true : action === 'hide' ? false : !was;
  if (on === was) return;
  actor.fire(popover, 'beforetoggle', { newState: on ? 'open' : 'closed' });
  if (on && isAuto(popover)) closePopovers(actor, (other) => isAncestorOrSelf(other, popover));
  actor.toggle(popover, on);
  actor.fire(popover, 'toggle', { newState: on ? 'open' : 'closed' });
}

/** Closes automatic popovers but those to keep; a press or Escape outside does so too. */
export function closePopovers(actor: Actor, keep: (popover: ElementNode) => boolean): void {
  for (const [other, on] of [...actor.standing.toggled])
    if (on && isAuto(other) && !keep(other)) {
      actor.toggle(other, false);
      actor.fire(other, 'toggle', { newState: 'closed' });
    }
}

function pressLink(link: ElementNode, { document, standing }: Actor): void {
  const href = (standing.attribute(link, 'href') ?? '').trim();
  if (href.startsWith('#')) standing.target = indicated(document, href.slice(1));
  else if (standing.attribute(link, 'href') !== undefined && !/^javascript:/i.test(href)) standing.left = true;
}
