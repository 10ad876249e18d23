import {
  framesOf,
  holdsAt,
  linksOf,
  walkOf,
  type AuditResult,
  type Finding,
  type Frame,
  type LinksResult,
  type Page,
  type Position,
  type Stop,
} from '../../core/index.js';
import { drawFrame, type Outlines, type Pictures } from '../drawing/index.js';

/** A picture of the menus at one width, and where findings stand in it. */
export interface Picture {
  readonly from: number;
  readonly to: number;
  readonly width: number;
  readonly pose: string;
  readonly forms: string;
  /** Size of the picture, px. */
  readonly wide: number;
  readonly high: number;
  readonly svg: string;
  /** Places of findings, by their number in the result, px in the picture. */
  readonly pins: readonly {
    readonly finding: number;
    readonly x: number;
    readonly y: number;
    readonly w: number;
    readonly h: number;
  }[];
}

/** Lines of a source around the one that matters. */
export interface Excerpt {
  readonly file: string;
  readonly first: number;
  readonly lines: readonly string[];
  /** The line that matters. */
  readonly line: number;
}

export interface Walked {
  readonly width: number;
  readonly stops: readonly Stop[];
}

/** What a report shows of a page beside its findings: plain data. */
export interface PageMaterial {
  readonly pictures: readonly Picture[];
  readonly walks: readonly Walked[];
  readonly links: LinksResult;
  /** Of each finding, by its number in the result: the place of the element, then of the rule. */
  readonly excerpts: readonly (readonly Excerpt[])[];
}

/** Widths the keyboard's way is shown at, px. */
const WALKED = [375, 1280];
const MOST_STOPS = 150;
const MOST_PICTURES = 16;

/** Gathers what a report shows of a page. */
export function materialOf(
  page: Page,
  result: AuditResult,
  outlines: Outlines,
  pictures: Pictures | null,
): PageMaterial {
  const { from, to } = result.widths;
  const frames = framesOf(page, { from, to, height: 800, region: 'menu' }).filter(({ forms }) => forms.length > 0);
  const widths = WALKED.filter((width) => width >= from && width <= to);
  return {
    pictures: frames
      .slice(0, MOST_PICTURES)
      .map((frame) => pictureOf(page, frame, result.findings, outlines, pictures)),
    walks: (widths.length > 0 ? widths : [to]).map((width) => ({
      width,
      stops: walkOf(page, { width, height: 800, moves: [], poseText: 'closed', until: null }, MOST_STOPS).stops,
    })),
    links: linksOf(page, { from, to }),
    excerpts: result.findings.map((finding) => excerptsOf(finding, sourcesOf(page))),
  };
}

function pictureOf(
  page: Page,
  frame: Frame,
  findings: readonly Finding[],
  outlines: Outlines,
  pictures: Pictures | null,
): Picture {
  const { region, setting, band, pose, forms } = frame;
  const scene = page.scene(setting);
  const elements = new Map(page.document.elements.map((element) => [element.path, element]));
  const pins = findings.flatMap((finding, i) =>
    finding.places.flatMap(({ path, widths }) => {
      const element = elements.get(path);
      if (!element || !holdsAt(widths ?? finding.widths, setting.width)) return [];
      const rect = scene.seen(element);
      if (!rect || rect.width * rect.height > region.width * region.height * 0.9) return [];
      return [{ finding: i, x: rect.x - region.x, y: rect.y - region.y, w: rect.width, h: rect.height }];
    }),
  );
  return {
    ...band,
    width: setting.width,
    pose,
    forms: [...new Set(forms.map(({ form }) => form.replace('-', ' ')))].join(', '),
    wide: Math.round(region.width),
    high: Math.round(region.height),
    svg: drawFrame(page, frame, outlines, pictures),
    pins: pins.filter(({ x, y }) => x < region.width && y < region.height),
  };
}

/** The texts of a page, by how reports call them. */
function sourcesOf(page: Page): ReadonlyMap<string, string> {
  const out = new Map([[page.document.source.name, page.document.source.text]]);
  for (const { span } of page.ruleSet.rules)
    if (!out.has(span.source.name)) out.set(span.source.name, span.source.text);
  for (const { name, text } of page.scripts) if (!out.has(name)) out.set(name, text);
  return out;
}

const AROUND = 2;
const LONGEST = 160;

function excerptsOf({ places, cause }: Finding, sources: ReadonlyMap<string, string>): readonly Excerpt[] {
  const positions = [places[0]!.at, cause?.at].filter((at): at is Position => at !== null && at !== undefined);
  const told = new Set<string>();
  return positions.flatMap(({ file, line, column }): Excerpt[] => {
    const lines = sources.get(file)?.split(/\r\n?|\n/);
    if (!lines || line > lines.length || told.has(`${file}:${line}`)) return [];
    told.add(`${file}:${line}`);
    const first = Math.max(1, line - AROUND);
    // Of a sheet in one line only the part that matters.
    const cut = (text: string, number: number): string => {
      if (text.length <= LONGEST) return text;
      const start = number === line ? Math.max(0, column - 1 - LONGEST / 4) : 0;
      return `${start > 0 ? '…' : ''}${text.slice(start, start + LONGEST)}…`;
    };
    const shown = lines.slice(first - 1, line + AROUND).map((text, i) => cut(text, first + i));
    return [{ file, first, lines: shown, line }];
  });
}
