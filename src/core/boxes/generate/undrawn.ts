/** Elements of pictures that draw nothing where they stand. @spec svg-2 §5.1 (never-rendered elements) */
export const UNDRAWN: ReadonlySet<string> = new Set(
  'defs symbol clipPath mask marker pattern linearGradient radialGradient stop title desc metadata style script filter animate animateMotion animateTransform set view template'.split(
    ' ',
  ),
);
