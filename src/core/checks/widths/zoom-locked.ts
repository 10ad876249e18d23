import { defineCheck, onElement, type Observation } from '../define.js';
import type { Subject } from '../subject.js';

/** Pages that cannot be enlarged. @spec WCAG 2.2 SC 1.4.4 */
export const zoomLocked = defineCheck(
  {
    id: 'zoom-locked',
    title: 'The page can be enlarged on a phone',
    weight: 'hinders',
    scope: 'page',
    asks: { visitors: ['mouse'], poses: 'rest', widths: 'ends' },
    leansOn: [],
    explains: {
      means: 'People who see little enlarge the page with two fingers. A page that forbids it shuts them out.',
      rule: [
        'The viewport meta does not forbid zooming (user-scalable=no) and lets the page be enlarged to twice its size or more (maximum-scale).',
        'There is a viewport meta: without one phones show the wide page shrunk to the width of the screen, and breakpoints do nothing.',
      ],
      faulty: '<meta name="viewport" content="width=device-width, user-scalable=no">',
      mended: '<meta name="viewport" content="width=device-width, initial-scale=1">',
    },
    worse: null,
    messages: {
      locked: {
        says: 'The viewport meta says {what}: on a phone the page cannot be enlarged to twice its size.',
        mends: 'Take {what} away.',
        criteria: [{ number: '1.4.4', level: 'AA' }],
      },
      missing: {
        says: 'There is no viewport meta: phones show the wide page shrunk to their screen, with text too small to read, and none of the narrow layouts.',
        mends: 'Add <meta name="viewport" content="width=device-width, initial-scale=1"> to the head.',
        criteria: [{ number: '1.4.4', level: 'AA' }],
      },
    },
  },
  inspect,
);

const LEAST = 2;

function inspect({ scene, menus }: Subject): readonly Observation[] {
  if (menus.length === 0) return [];
  const { elements, root } = scene.document;
  const metas = elements.filter(
    (e) => e.tag === 'meta' && e.attributes.get('name')?.trim().toLowerCase() === 'viewport',
  );
  const seen = { menus: [], state: 'normal' as const };
  const meta = metas[metas.length - 1];
  if (!meta) {
    const head = elements.find((e) => e.tag === 'head' && e.startTag !== null) ?? root;
    const at = head.startTag ? onElement(head) : ({ kind: 'page' } as const);
    return [{ ...seen, at, message: 'missing', data: {} }];
  }
  const values = valuesOf(meta.attributes.get('content') ?? '');
  const scalable = values.get('user-scalable');
  const most = Number.parseFloat(values.get('maximum-scale') ?? '');
  const what =
    scalable !== undefined && /^(no|0|0\.0*)$/.test(scalable)
      ? `user-scalable=${scalable}`
      : most < LEAST
        ? `maximum-scale=${values.get('maximum-scale')!}`
        : null;
  return what === null ? [] : [{ ...seen, at: onElement(meta), message: 'locked', data: { what } }];
}

/** Names and values of a viewport meta. @spec css-viewport-1 §3 */
const valuesOf = (content: string): ReadonlyMap<string, string> =>
  new Map(
    content
      .toLowerCase()
      .split(/[,;\s]+(?=[a-z])/)
      .map((part) => part.split('=').map((side) => side.trim()))
      .flatMap(([name, value]) => (name && value ? [[name, value] as const] : [])),
  );
