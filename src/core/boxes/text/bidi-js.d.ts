declare module 'bidi-js' {
  export interface Bidi {
    getEmbeddingLevels(
      text: string,
      base: 'ltr' | 'rtl' | 'auto',
    ): {
      readonly levels: Uint8Array;
      readonly paragraphs: readonly { readonly level: number }[];
    };
  }
  export default function bidiFactory(): Bidi;
}
