declare module 'linebreak' {
  export interface Break {
    readonly position: number;
    readonly required: boolean;
  }
  export default class LineBreaker {
    constructor(text: string);
    nextBreak(): Break | null;
  }
}
