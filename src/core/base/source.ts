/** The text of one file or inline piece, with a line table built on first use. */
export class SourceText {
  #lines: number[] | null = null;

  /**
   * @param name how reports name the text: a path relative to the page's root, or `page.html`
   * @param text the decoded text
   * @param base where the text begins inside an enclosing file (inline sheets), 0-based offset
   * @param host the enclosing file, if the text is a piece of one
   */
  constructor(
    readonly name: string,
    readonly text: string,
    readonly base = 0,
    readonly host: SourceText | null = null,
  ) {}

  /** 1-based line and column of a 0-based offset, in the enclosing file if there is one. */
  position(offset: number): Position {
    if (this.host) return this.host.position(this.base + offset);
    this.#lines ??= lineStarts(this.text);
    const lines = this.#lines;
    let low = 0;
    let high = lines.length - 1;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (lines[middle]! <= offset) low = middle;
      else high = middle - 1;
    }
    return { file: this.name, line: low + 1, column: offset - lines[low]! + 1 };
  }
}

/** A place in a file; line and column count from 1. */
export interface Position {
  readonly file: string;
  readonly line: number;
  readonly column: number;
}

/** A piece of a source: 0-based offsets, `end` exclusive. */
export interface Span {
  readonly source: SourceText;
  readonly start: number;
  readonly end: number;
}

export function positionOf(span: Span): Position {
  return span.source.position(span.start);
}

export function formatPosition(position: Position): string {
  return `${position.file}:${position.line}:${position.column}`;
}

function lineStarts(text: string): number[] {
  const starts = [0];
  for (let i = text.indexOf('\n'); i >= 0; i = text.indexOf('\n', i + 1)) starts.push(i + 1);
  return starts;
}
