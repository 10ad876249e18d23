/**
 * Properties current browsers have and this engine does not follow: pages that ask for them are told that they are there.
 * Those that change boxes are said where a page uses them.
 */
const NAMES = `animation-composition animation-range animation-range-end animation-range-start background-position-x
  background-position-y baseline-source border-image border-image-outset border-image-repeat border-image-slice
  border-image-width clip-rule color-interpolation color-interpolation-filters color-rendering column-rule
  column-rule-color column-rule-style column-rule-width corner-shape cx cy d dynamic-range-limit field-sizing
  fill-opacity fill-rule flood-color flood-opacity font-language-override font-palette font-synthesis
  font-synthesis-small-caps font-synthesis-style font-synthesis-weight font-variant-alternates font-variant-east-asian
  font-variant-emoji font-variant-position forced-color-adjust hyphenate-character hyphenate-limit-chars
  image-orientation image-rendering interpolate-size lighting-color marker marker-end marker-mid marker-start mask
  mask-clip mask-composite mask-mode mask-origin mask-position mask-repeat mask-size mask-type math-depth math-shift
  math-style object-view-box offset offset-anchor offset-distance offset-path offset-position offset-rotate
  overflow-anchor page paint-order position-visibility
  print-color-adjust r reading-flow reading-order ruby-align ruby-position rx ry scroll-initial-target
  scroll-marker-group scroll-snap-align scroll-snap-stop scroll-snap-type scroll-target-group scroll-timeline
  scroll-timeline-axis scroll-timeline-name scrollbar-color shape-image-threshold shape-margin shape-outside
  shape-rendering speak stop-color stop-opacity stroke-dasharray stroke-dashoffset stroke-linecap stroke-linejoin
  stroke-miterlimit stroke-opacity text-autospace text-combine-upright text-decoration-skip-ink text-emphasis
  text-emphasis-color text-emphasis-position text-emphasis-style text-justify text-size-adjust text-spacing-trim
  text-underline-position timeline-scope transition-behavior vector-effect view-timeline view-timeline-axis
  view-timeline-inset view-timeline-name view-transition-class x y -webkit-box-align -webkit-box-direction
  -webkit-box-flex -webkit-box-ordinal-group -webkit-box-pack -webkit-line-break -webkit-mask-box-image -webkit-mask-clip
  -webkit-mask-composite -webkit-mask-origin -webkit-mask-position -webkit-mask-repeat -webkit-mask-size
  -webkit-print-color-adjust -webkit-text-combine -webkit-text-emphasis -webkit-text-emphasis-color
  -webkit-text-emphasis-style -webkit-text-security -webkit-text-stroke -webkit-text-stroke-color
  -webkit-text-stroke-width -webkit-user-drag -webkit-user-modify`;

/** Whether browsers have a property that is not followed here. */
export const isElsewhere = (name: string): boolean => KNOWN.has(name);

const KNOWN: ReadonlySet<string> = new Set(NAMES.split(/\s+/));
