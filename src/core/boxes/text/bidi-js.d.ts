declare module 'bidi-js' {
  export interface Bidi {
    getEmbeddingLevels(text: string, base: 'ltr' | 'rtl' | 'auto'): { readonly levels: Uint8Array };
  }
  export default function bidiFactory(): Bidi;
}
