/** An SVG without text of its own as PNG bytes. @param scale pixels a CSS px */
export async function toPng(svg: string, scale: number): Promise<Uint8Array> {
  const { Resvg } = await import('@resvg/resvg-js');
  return new Resvg(svg, { fitTo: { mode: 'zoom', value: scale }, font: { loadSystemFonts: false } }).render().asPng();
}
