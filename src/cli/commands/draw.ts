import { extname } from 'node:path';
import type { ArgumentsCamelCase, Argv, CommandModule } from 'yargs';
import {
  auditPage,
  framesOf,
  holdsAt,
  leadsSomewhere,
  printWidths,
  type AuditResult,
  type Finding,
  type Frame,
  type Page,
} from '../../core/index.js';
import { drawSheet, MARKS, toPng, writeWhole, type MarkName, type Pin } from '../../formats/index.js';
import { picturesOf, shippedOutlines, siteOfFile } from '../../sources/index.js';
import { UsageError } from '../errors.js';
import { parseRange, parseWidth, parseWidths, STANDARD_INPUT } from '../options.js';
import { parseMoves, POSE } from '../pose.js';
import { progressOn } from '../progress.js';
import { readPage, withSources, type SourceArguments } from '../source-options.js';
import { later } from '../work.js';

const OVERLAYS = [...MARKS, 'findings'] as const;
type Overlay = (typeof OVERLAYS)[number];

interface DrawArguments extends SourceArguments {
  page: string;
  write: string;
  pictures: boolean;
  at?: string[];
  from: number;
  to: number;
  height: number;
  pose?: string[];
  scroll?: string;
  marks?: string[];
  region: 'menu' | 'screen';
  scale: number;
}

const builder = (argv: Argv): Argv<DrawArguments> =>
  withSources(argv)
    .positional('page', { type: 'string', demandOption: true, describe: 'A built page, or - for standard input' })
    .option('write', {
      type: 'string',
      default: 'menus.svg',
      describe: 'File to write; its ending says the format: .svg or .png',
    })
    .option('at', {
      type: 'string',
      array: true,
      describe: 'Widths to draw, px; one for every look of the menus if left out',
    })
    .option('from', { type: 'number', default: 320, describe: 'Narrowest width, px' })
    .option('to', { type: 'number', default: 1920, describe: 'Widest width, px' })
    .option('height', { type: 'number', default: 800, describe: 'Height of the viewport, px' })
    .option('pose', POSE)
    .option('scroll', {
      type: 'string',
      describe: 'How far the page is scrolled, px, or a part of it to jump to, such as #fares',
    })
    .option('marks', {
      type: 'string',
      array: true,
      describe: `What to lay over the pictures: ${OVERLAYS.join(', ')}; targets and order if none is named`,
    })
    .option('region', {
      choices: ['menu', 'screen'] as const,
      default: 'menu' as const,
      describe: 'How much of the page to draw: down to the end of the menus, or the whole screen',
    })
    .option('pictures', { type: 'boolean', default: true, describe: 'The page’s own pictures (--no-pictures: tints)' })
    .option('scale', { type: 'number', default: 1, describe: 'Pixels of a PNG for each px, 0.25 to 4' })
    .example('$0 draw dist/index.html', 'A contact sheet: the menus in every look they take, closed and opened')
    .example(
      '$0 draw dist/index.html --at 375 --marks targets,order --write phone.png',
      'One picture with the sizes of targets and the way of the Tab key',
    ) as unknown as Argv<DrawArguments>;

async function handler(args: ArgumentsCamelCase<DrawArguments>): Promise<void> {
  const { from, to } = parseRange(args);
  const ending = extname(args.write).toLowerCase();
  if (ending !== '.svg' && ending !== '.png')
    throw new UsageError(`no picture format is known for “${args.write}”`, 'Let the file end in .svg or .png.');
  if (!(args.scale >= 0.25 && args.scale <= 4))
    throw new UsageError(`--scale ${args.scale} is out of range`, 'Take a number from 0.25 to 4.');
  const height = parseWidth(args.height, '--height');
  const overlays = parseMarks(args.marks);
  const progress = await progressOn(process.stderr, false);
  progress.say(`reading ${args.page}`);
  const page = await readPage(args.page, args);
  const moves = args.pose ?? [];
  const frames = framesOf(page, {
    from,
    to,
    height,
    region: args.region,
    ...(args.at ? { widths: parseWidths(args.at, '--at') } : {}),
    ...(args.scroll === undefined ? {} : { scroll: parseScroll(page, args.scroll) }),
    ...(moves.length > 0 ? { pose: { moves: parseMoves(page, moves), name: moves.join(' ') } } : {}),
  });
  if (frames.every(({ forms }) => forms.length === 0))
    process.stderr.write(`no menu shows on ${page.name}: the whole screen is drawn\n`);
  progress.say(`drawing ${frames.length} ${frames.length === 1 ? 'picture' : 'pictures'}`);
  const findings = overlays.includes('findings') ? findingsAt(frames, auditPage(page, { from, to, height })) : [];
  const marks = overlays.filter((name): name is MarkName => name !== 'findings');
  const drawing = drawSheet(
    page,
    frames,
    { marks, pins: pinsOf(page, findings), legend: findings.map(legendOf), pictures: picturesFor(args) },
    await shippedOutlines(),
  );
  await writeWhole(args.write, ending === '.png' ? await toPng(drawing.svg, args.scale) : drawing.svg);
  progress.stop();
  process.stdout.write(
    `${args.write}: ${frames.length} ${frames.length === 1 ? 'picture' : 'pictures'} of the menus of ${page.name}, ${Math.round(drawing.width)} × ${Math.round(drawing.height)} px\n`,
  );
  for (const limit of page.limits.filter((l) => l.kind === 'unsupported' || l.kind === 'missing'))
    process.stderr.write(`not taken into account: ${limit.subject} (${limit.consequence})\n`);
}

/** Where the page's own pictures come from, if they are asked for. */
const picturesFor = ({ page, root, pictures }: DrawArguments) =>
  pictures ? picturesOf(siteOfFile(page === STANDARD_INPUT ? '.' : page, root === undefined ? {} : { root })) : null;

/** A length in px, or a part of the page by its fragment. */
function parseScroll(page: Page, text: string): number | string {
  if (/^\d+(\.\d+)?(px)?$/.test(text)) return Number.parseFloat(text);
  if (!text.startsWith('#'))
    throw new UsageError(`“${text}” is nowhere to scroll to (--scroll)`, 'Write a number of px, or #ID in quotes.');
  if (!leadsSomewhere(page, text))
    throw new UsageError(
      `no part of ${page.name} is named “${text}”`,
      `Upper and lower case count. Among its names: ${namesOn(page)}.`,
    );
  return text;
}

function namesOn(page: Page): string {
  const ids = page.document.elements.flatMap(({ id }) => (id ? [`#${id}`] : []));
  return ids.length === 0 ? 'none at all' : ids.slice(0, 6).join(', ') + (ids.length > 6 ? ' …' : '');
}

/** Names of overlays, several in one word allowed; the option alone stands for the usual two. */
function parseMarks(given: readonly string[] | undefined): readonly Overlay[] {
  if (!given) return [];
  const names = given
    .flatMap((part) => part.split(','))
    .map((part) => part.trim())
    .filter((part) => part !== '');
  for (const name of names)
    if (!(OVERLAYS as readonly string[]).includes(name))
      throw new UsageError(`“${name}” is nothing to lay over a picture (--marks)`, `Known: ${OVERLAYS.join(', ')}.`);
  return names.length > 0 ? (names as Overlay[]) : ['targets', 'order'];
}

/** Findings that hold at some width that is drawn. */
const findingsAt = (frames: readonly Frame[], { findings }: AuditResult): readonly Finding[] =>
  findings.filter((finding) => frames.some(({ setting }) => holdsAt(finding.widths, setting.width)));

const legendOf = (finding: Finding): string => `${finding.check}, ${printWidths(finding.widths)} px: ${finding.says}`;

/** What the findings point at in a frame. */
function pinsOf(page: Page, findings: readonly Finding[]): (frame: Frame) => readonly Pin[] {
  return ({ setting }) => {
    const scene = page.scene(setting);
    const byPath = new Map<string, number[]>();
    findings.forEach((finding, i) => {
      if (!holdsAt(finding.widths, setting.width)) return;
      for (const { path, widths } of finding.places)
        if (holdsAt(widths ?? finding.widths, setting.width)) byPath.set(path, [...(byPath.get(path) ?? []), i + 1]);
    });
    return [...byPath].flatMap(([path, numbers]): Pin[] => {
      const element = page.document.elements.find((e) => e.path === path);
      const rect = element ? scene.seen(element) : null;
      return rect ? [{ rect, numbers }] : [];
    });
  };
}

export const drawCommand: CommandModule<object, DrawArguments> = {
  command: 'draw <page>',
  describe: 'Draw the menus of a page as visitors see them: one picture, or a contact sheet of every look',
  builder: builder as never,
  handler: later(handler),
};
