import type { ComputedStyle } from '../../cascade/index.js';
import type { ElementNode, HtmlDocument } from '../../html/index.js';

/** A file of graphics that `use` elements of a page repeat parts of; its parts have the styles of their own file. */
export interface GraphicFile {
  readonly document: HtmlDocument;
  readonly style: (element: ElementNode) => ComputedStyle;
}

/** The file a reference names, its fragment left aside; null where it was not read. */
export type GraphicFiles = (reference: string) => GraphicFile | null;

/**
 * What a `use` element repeats and the document it stands in; null where there is nothing of that name.
 * @param here where references that are fragments alone lead
 * @spec svg-2 §5.5 (the use element)
 */
export function repeatedBy(
  { attributes }: ElementNode,
  here: GraphicFile,
  files: GraphicFiles,
): { readonly target: ElementNode; readonly from: GraphicFile } | null {
  const reference = (attributes.get('href') ?? attributes.get('xlink:href') ?? '').trim();
  if (reference === '') return null;
  const from = reference.startsWith('#') ? here : files(reference);
  const name = /#(.*)$/s.exec(reference)?.[1];
  const target = name
    ? from?.document.byId(name)
    : from?.document.elements.find(({ namespace }) => namespace === 'svg');
  return from && target?.namespace === 'svg' ? { target, from } : null;
}

/** References of a page's `use` elements to other files, each once. */
export const filesUsed = ({ elements }: HtmlDocument): readonly string[] => [
  ...new Set(
    elements.flatMap(({ tag, namespace, attributes }) => {
      const reference = (attributes.get('href') ?? attributes.get('xlink:href') ?? '').trim();
      return tag === 'use' && namespace === 'svg' && /^[^#]/.test(reference) ? [reference] : [];
    }),
  ),
];
