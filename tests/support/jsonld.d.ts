/** The part of the package that tests use. */
declare module 'jsonld' {
  const jsonld: { expand(document: object): Promise<unknown[]> };
  export default jsonld;
}
