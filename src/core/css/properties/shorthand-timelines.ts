import { isIdent, splitCommas, type Component } from '../values/index.js';
import { type Shorthand, ident } from './shorthand-parts.js';

const COMMA: Component = { type: 'delim', value: ',' };

/** Transitions and animations: lists whose parts are told by their kind. @spec css-transitions-1 §2.5, css-animations-1 §3.10 */
export function timeline(prefix: 'transition' | 'animation', names: readonly string[]): Shorthand {
  return {
    longhands: names.map((name) => `${prefix}-${name}`),
    expand: (items) => {
      const lists: Record<string, Component[]> = {};
      for (const part of splitCommas(items)) {
        if (part.length === 0) return null;
        for (const [name, value] of Object.entries(timelinePart(part, prefix))) {
          const list = (lists[`${prefix}-${name}`] ??= []);
          if (list.length > 0) list.push(COMMA);
          list.push(value);
        }
      }
      return lists;
    },
  };
}

const EASINGS = /^(ease|linear|ease-in|ease-out|ease-in-out|step-start|step-end)$/;

const NO_TIME: Component = { type: 'dimension', value: 0, unit: 's' };

function timelinePart(part: readonly Component[], prefix: 'transition' | 'animation'): Record<string, Component> {
  const out: Record<string, Component> = { duration: NO_TIME, delay: NO_TIME, 'timing-function': ident('ease') };
  if (prefix === 'transition') out.property = ident('all');
  else
    Object.assign(out, {
      name: ident('none'),
      'iteration-count': { type: 'number', value: 1, integer: true },
      'fill-mode': ident('none'),
      direction: ident('normal'),
      'play-state': ident('running'),
      timeline: ident('auto'),
    });
  let times = 0;
  for (const item of part) {
    if (item.type === 'dimension' && (item.unit === 's' || item.unit === 'ms'))
      out[times++ === 0 ? 'duration' : 'delay'] = item;
    else if (
      (item.type === 'ident' && EASINGS.test(item.name)) ||
      (item.type === 'function' && /^(cubic-bezier|steps|linear)$/.test(item.name))
    )
      out['timing-function'] = item;
    else if (prefix === 'transition') {
      if (!isIdent(item, 'allow-discrete', 'normal')) out.property = item;
    } else if (isIdent(item, 'infinite') || item.type === 'number') out['iteration-count'] = item;
    else if (isIdent(item, 'forwards', 'backwards', 'both')) out['fill-mode'] = item;
    else if (isIdent(item, 'normal', 'reverse', 'alternate', 'alternate-reverse')) out.direction = item;
    else if (isIdent(item, 'running', 'paused')) out['play-state'] = item;
    else out.name = item;
  }
  return out;
}
