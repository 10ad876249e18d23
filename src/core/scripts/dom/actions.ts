import { method, plain } from '../builtins/define.js';
import { moveFocus } from '../moves.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { El, isCallable, Native, Obj, Promised, truth, type Value } from '../values.js';
import { dispatch, fire } from './events.js';

/** Presses, focus, popovers and dialogs by script. @spec html §6.5.1, §6.6.6, §6.12, §4.11.4 */
export function defineActions(realm: Realm): void {
  const { element, loose } = realm.protos;
  const add = (names: string, host: (r: Reading, self: El, args: readonly Value[]) => void) =>
    method(realm, element, names, (r, self, args) => {
      if (self instanceof El) host(r, self, args);
      return undefined;
    });
  add('click', (r, self) => r.press(r, self.node));
  add('focus', (r, self) => moveFocus(r, self.node));
  add('blur', (r, self) => {
    if (r.standing.focused === self.node) moveFocus(r, null);
  });
  const popover = (r: Reading, self: El, on: boolean) => {
    if ((r.standing.toggled.get(self.node) ?? false) === on) return;
    fire(r, self, 'beforetoggle', { newState: on ? 'open' : 'closed' });
    r.toggle(self.node, on);
    fire(r, self, 'toggle', { newState: on ? 'open' : 'closed' });
  };
  add('showPopover', (r, self) => popover(r, self, true));
  add('hidePopover', (r, self) => popover(r, self, false));
  add('togglePopover', (r, self, [force]) => {
    const on = force === undefined ? !(r.standing.toggled.get(self.node) ?? false) : truth(force);
    if (on !== null) popover(r, self, on);
  });
  add('showModal show', (r, self) => r.toggle(self.node, true));
  add('close requestClose', (r, self) => {
    if (!r.standing.isOn(self.node, 'open')) return;
    r.toggle(self.node, false);
    fire(r, self, 'close');
  });
  add(
    'submit reset select setSelectionRange requestSubmit setCustomValidity setPointerCapture releasePointerCapture attachInternals',
    () => undefined,
  );
  method(realm, element, 'checkValidity reportValidity hasPointerCapture', () => true);
  for (const proto of [element, loose]) method(realm, proto, 'animate', (r) => animate(r));
  method(realm, loose, 'click focus blur showPopover hidePopover showModal show close', () => undefined);
  method(realm, realm.protos.node, 'dispatchEvent', (r, self, [event]) =>
    event instanceof Obj ? !dispatch(r, self, event) : true,
  );
}

/** An animation leaves the page as it was; whoever waits for its end goes on. */
function animate(reading: Reading): Value {
  const { realm } = reading;
  const made = plain(realm, {
    finished: new Promised(realm.protos.promise, 'kept', undefined),
    playState: 'finished',
  });
  method(realm, made, 'cancel finish play pause reverse commitStyles updatePlaybackRate', () => undefined);
  method(realm, made, 'addEventListener', (r, _s, [type, fn]) => {
    if (type === 'finish' && isCallable(fn)) r.jobs.push(() => r.call(fn, made, []));
    return undefined;
  });
  const later = new Native(realm.protos.function, 'finish', (r) => {
    const fn = r.get(made, 'onfinish');
    if (isCallable(fn)) r.call(fn, made, []);
    return undefined;
  });
  reading.jobs.push(() => void reading.call(later, made, []));
  return made;
}
