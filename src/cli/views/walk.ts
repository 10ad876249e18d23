import { isFaintlyMarked, type Stop, type WalkResult } from '../../core/index.js';
import { harmless, type Terminal } from '../terminal.js';
import { indent, plural } from './layout.js';

/** The keyboard's way, a line a stop; what stands out is a stop that cannot be seen, says nothing or shows no mark. */
export function walkView(result: WalkResult, until: string | null, terminal: Terminal): string {
  const { colours, columns } = terminal;
  const head = `${colours.bold(harmless(result.page))}  at ${result.width} px, ${harmless(result.pose)}: ${plural(result.stops.length, 'stop')} of the Tab key`;
  const room = String(result.stops.length).length;
  const lines = result.stops.map((stop, i) => {
    const number = colours.dim(`${i + 1}.`.padStart(room + 1));
    return `${number} ${indent(stopText(stop, terminal), room + 2, columns).trimStart()}`;
  });
  const end =
    until === null
      ? []
      : [
          result.presses === null
            ? colours.yellow(`no stop is called “${harmless(until)}”`)
            : `${plural(result.presses, 'press', 'presses')} of Tab to “${harmless(until)}”`,
        ];
  return `${[head, '', ...lines, '', ...end].join('\n').trimEnd()}\n`;
}

function markText(stop: Stop, colours: Terminal['colours']): string {
  const { mark, contrast } = stop;
  if (mark.length === 0) return colours.yellow('no mark of focus');
  const text = `marked by ${mark.join(', ')}${contrast === null ? '' : ` (${contrast}:1)`}`;
  return isFaintlyMarked(stop) ? colours.yellow(`${text}, which hardly stands out`) : colours.dim(text);
}

function stopText(stop: Stop, { colours }: Terminal): string {
  const name = stop.name === '' ? colours.yellow('without a name') : `“${harmless(stop.name)}”`;
  const states = stop.states.length > 0 ? `, ${stop.states.join(', ')}` : '';
  const role = stop.role === 'generic' ? colours.yellow('no role') : stop.role;
  const seen = stop.seen ? '' : `  ${colours.red('cannot be seen')}`;
  const mark = markText(stop, colours);
  const place = stop.at ? colours.dim(`  ${harmless(stop.at.file)}:${stop.at.line}`) : '';
  // That Enter follows a link goes without saying.
  const keys = stop.keys
    .filter(({ key, does }) => !(key === 'Enter' && does.startsWith('goes to') && stop.role === 'link'))
    .map(({ key, does }) => `${key === ' ' ? 'Space' : key} ${does}`)
    .join('; ');
  return `${role} ${name}${states}${seen}  ${mark}${place}${keys === '' ? '' : `  ${harmless(keys)}`}`;
}
