import { pageFrom, sceneAt } from '../support/page.js';
import { pageOf, type LayoutCase } from '../support/layout-case.js';
import { cases as alignment } from './cases/alignment.js';
import { cases as block } from './cases/block.js';
import { cases as clampedLines } from './cases/clamped-lines.js';
import { cases as acrossFlows } from './cases/across-flows.js';
import { cases as inlineFragments } from './cases/inline-fragments.js';
import { cases as clearedMargins } from './cases/cleared-margins.js';
import { cases as narrowGrids } from './cases/narrow-grids.js';
import { cases as narrowest } from './cases/narrowest.js';
import { cases as sizeWords } from './cases/size-words.js';
import { cases as ratioLimits } from './cases/ratio-limits.js';
import { cases as emptyBoxes } from './cases/empty-boxes.js';
import { cases as floatsInBoxes } from './cases/floats-in-boxes.js';
import { cases as besideFloats } from './cases/beside-floats.js';
import { cases as cellHeights } from './cases/cell-heights.js';
import { cases as clonedEdges } from './cases/cloned-edges.js';
import { cases as columns } from './cases/columns.js';
import { cases as content } from './cases/content.js';
import { cases as controls } from './cases/controls.js';
import { cases as culled } from './cases/culled.js';
import { cases as fields } from './cases/fields.js';
import { cases as fieldsets } from './cases/fieldsets.js';
import { cases as flex } from './cases/flex.js';
import { cases as floats } from './cases/floats.js';
import { cases as grid } from './cases/grid.js';
import { cases as inline } from './cases/inline.js';
import { cases as menus } from './cases/menus.js';
import { cases as mixedDirection } from './cases/mixed-direction.js';
import { cases as oldAttributes } from './cases/old-attributes.js';
import { cases as emptyTables } from './cases/empty-tables.js';
import { cases as objectsAndSpaces } from './cases/objects-and-spaces.js';
import { cases as plainControls } from './cases/plain-controls.js';
import { cases as positioned } from './cases/positioned.js';
import { cases as alignedBesideFloats } from './cases/aligned-beside-floats.js';
import { cases as columnGroups } from './cases/column-groups.js';
import { cases as legacyNumbers } from './cases/legacy-numbers.js';
import { cases as htmlInPictures } from './cases/html-in-pictures.js';
import { cases as quirks } from './cases/quirks.js';
import { cases as squeezedControls } from './cases/squeezed-controls.js';
import { cases as dateFields } from './cases/date-fields.js';
import { cases as looseListItems } from './cases/loose-list-items.js';
import { cases as realControls } from './cases/real-controls.js';
import { cases as tables } from './cases/tables.js';
import { cases as tablesMore } from './cases/tables-more.js';
import { cases as text } from './cases/text.js';
import { cases as textEdges } from './cases/text-edges.js';
import { cases as trimming } from './cases/trimming.js';
import { cases as blocksInInline } from './cases/blocks-in-inline.js';
import { cases as bullets } from './cases/bullets.js';
import { cases as floatsInLines } from './cases/floats-in-lines.js';
import { cases as gutters } from './cases/gutters.js';
import { cases as hangingSpaces } from './cases/hanging-spaces.js';
import { cases as lineBaselines } from './cases/line-baselines.js';
import { cases as missingPictures } from './cases/missing-pictures.js';
import { cases as knownHeights } from './cases/known-heights.js';
import { cases as outOfLines } from './cases/out-of-lines.js';
import { cases as lineEndsMore } from './cases/line-ends-more.js';
import { cases as lineEnds } from './cases/line-ends.js';
import { cases as looseLines } from './cases/loose-lines.js';
import { cases as shapedText } from './cases/shaped-text.js';
import { cases as perspective } from './cases/perspective.js';
import { cases as ratios } from './cases/ratios.js';
import { cases as sharedBaselines } from './cases/shared-baselines.js';
import { cases as captions } from './cases/captions.js';
import { cases as smallCaps } from './cases/small-caps.js';
import { cases as stretched } from './cases/stretched.js';
import { cases as tableColumns } from './cases/table-columns.js';
import { cases as tablesShared } from './cases/tables-shared.js';
import { cases as writingModes } from './cases/writing-modes.js';
import { cases as markers } from './cases/markers.js';
import { cases as markerStyles } from './cases/marker-styles.js';
import { cases as anonymousTables } from './cases/anonymous-tables.js';
import { cases as framedPictures } from './cases/framed-pictures.js';
import { cases as flatLines } from './cases/flat-lines.js';
import { cases as controlLines } from './cases/control-lines.js';
import { cases as verticalControls } from './cases/vertical-controls.js';
import { cases as wideFloats } from './cases/wide-floats.js';
import { cases as rowsByContent } from './cases/rows-by-content.js';
import { cases as sharesOfGaps } from './cases/shares-of-gaps.js';
import { cases as unboxedText } from './cases/unboxed-text.js';
import { cases as picturesInPictures } from './cases/pictures-in-pictures.js';
import { cases as contextsWithoutHeight } from './cases/contexts-without-height.js';
import { cases as tabs } from './cases/tabs.js';
import { cases as leastFontSizes } from './cases/least-font-sizes.js';
import { cases as embedded } from './cases/embedded.js';
import { cases as fieldsAndLegends } from './cases/fields-and-legends.js';
import { cases as gridsByContent } from './cases/grids-by-content.js';
import { cases as alignedBlocks } from './cases/aligned-blocks.js';
import { cases as pushedByFloats } from './cases/pushed-by-floats.js';
import { cases as heightsByContent } from './cases/heights-by-content.js';
import { cases as ratioItems } from './cases/ratio-items.js';
import { cases as containerQueries } from './cases/container-queries.js';
import { cases as zoomed } from './cases/zoomed.js';
import { cases as anchorFallbacks } from './cases/anchor-fallbacks.js';
import { cases as endedBesideFloats } from './cases/ended-beside-floats.js';
import { cases as ratioByContent } from './cases/ratio-by-content.js';
import { cases as subgrids } from './cases/subgrids.js';
import { cases as initialLetters } from './cases/initial-letters.js';
import { cases as cellsAgain } from './cases/cells-again.js';
import { cases as anchors } from './cases/anchors.js';
import { cases as clampedBlocks } from './cases/clamped-blocks.js';
import { cases as chosenLines } from './cases/chosen-lines.js';
import { cases as columnsTogether } from './cases/columns-together.js';
import { cases as sizedPictures } from './cases/sized-pictures.js';

const THEMES: Readonly<Record<string, readonly LayoutCase[]>> = {
  block,
  floats,
  inline,
  flex,
  positioned,
  tables,
  text,
  alignment,
  content,
  'tables, further': tablesMore,
  'writing modes': writingModes,
  controls,
  grid,
  menus,
  culled,
  'mixed direction': mixedDirection,
  'aligned beside floats': alignedBesideFloats,
  'groups of columns': columnGroups,
  'numbers of older attributes': legacyNumbers,
  'HTML in pictures': htmlInPictures,
  captions,
  'edges at every break': clonedEdges,
  'small capitals': smallCaps,
  quirks,
  trimming,
  'blocks in inline boxes': blocksInInline,
  'bullets and skipped content': bullets,
  'floats in lines': floatsInLines,
  gutters,
  'hanging spaces': hangingSpaces,
  'baselines of inline blocks': lineBaselines,
  'missing pictures': missingPictures,
  columns,
  fieldsets,
  'controls among text': realControls,
  'older attributes': oldAttributes,
  'clamped lines': clampedLines,
  'text as it is shaped': shapedText,
  perspective,
  ratios,
  'heights that are known': knownHeights,
  'ends of lines': lineEnds,
  'ends of lines, further': lineEndsMore,
  'what leaves its lines': outOfLines,
  'loose lines and default margins': looseLines,
  'shared baselines': sharedBaselines,
  'tables, room shared out': tablesShared,
  'heights of cells': cellHeights,
  'content across the flow': acrossFlows,
  'empty inline boxes': emptyBoxes,
  'fragments of inline boxes': inlineFragments,
  'limits through ratios': ratioLimits,
  'margins about clearance': clearedMargins,
  'narrowest widths': narrowest,
  'narrow grids': narrowGrids,
  'sizes by content': sizeWords,
  'stretched heights': stretched,
  'floats in inline boxes': floatsInBoxes,
  'formatting contexts beside floats': besideFloats,
  'columns of tables': tableColumns,
  'markers beside lines': markers,
  'markers with a style': markerStyles,
  'tables without an element': anonymousTables,
  'frames of missing pictures': framedPictures,
  'lines without height': flatLines,
  'tab stops': tabs,
  'least font sizes': leastFontSizes,
  'embedded content': embedded,
  'sized pictures': sizedPictures,
  'fields and legends': fieldsAndLegends,
  'grids by content': gridsByContent,
  'aligned blocks': alignedBlocks,
  'pushed by floats': pushedByFloats,
  'heights by content': heightsByContent,
  'items with ratios': ratioItems,
  'container queries': containerQueries,
  'zoomed boxes': zoomed,
  'fallbacks of anchors': anchorFallbacks,
  'inline boxes that end beside floats': endedBesideFloats,
  'ratios and sizes by content': ratioByContent,
  subgrids: subgrids,
  'initial letters': initialLetters,
  'cells laid out again': cellsAgain,
  anchors: anchors,
  'clamped blocks': clampedBlocks,
  'chosen lines': chosenLines,
  'columns that keep lines together': columnsTogether,

  'lines of controls': controlLines,
  'controls without looks': plainControls,
  'tables without columns': emptyTables,
  'objects beside spaces': objectsAndSpaces,
  'fields and editing hosts': fields,
  'edges of text': textEdges,
  'controls along vertical lines': verticalControls,
  'controls squeezed by their containers': squeezedControls,
  'fields for dates and times': dateFields,
  'old ways of tables and words': looseListItems,
  'lines beside wide floats': wideFloats,
  'rows by content': rowsByContent,
  'shares of gaps': sharesOfGaps,
  'text without a box': unboxedText,
  'pictures in pictures': picturesInPictures,
  'contexts without height': contextsWithoutHeight,
};

/** How far a box may lie from the browser's, px. */
const TOLERANCE = 0.05;

function differences(one: LayoutCase): string[] {
  const page = pageFrom(pageOf(one));
  const scene = sceneAt(page, one.width ?? 800, { height: 600 });
  return Object.entries(one.boxes).flatMap(([id, expected]) => {
    const rect = scene.rect(page.document.byId(id)!);
    const got = rect && [rect.x, rect.y, rect.width, rect.height];
    if (expected === null || got === null)
      return expected === got ? [] : [`#${id}: ${JSON.stringify(expected)} got ${JSON.stringify(got)}`];
    const off = expected.some((value, i) => Math.abs(value - got[i]!) > TOLERANCE);
    return off ? [`#${id}: ${expected.join(' ')} got ${got.map((v) => Math.round(v * 100) / 100).join(' ')}`] : [];
  });
}

describe.each(Object.entries(THEMES))('boxes as a browser places them: %s', (_theme, cases) => {
  test.each(cases.map((one) => [one.name, one] as const))('%s', (_name, one) => {
    expect(Object.keys(one.boxes).length).toBeGreaterThan(0);
    expect(differences(one)).toEqual([]);
  });

  test('no case stands twice', () => {
    const keys = cases.map((one) => `${one.doctype ?? 'no quirks'}|${one.css}|${one.body}`);
    expect(new Set(keys).size).toBe(keys.length);
  });
});
