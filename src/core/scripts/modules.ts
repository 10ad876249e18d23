import type { Program, Statement, ModuleDeclaration, ImportDeclaration, ExportNamedDeclaration } from 'acorn';
import { simple } from 'acorn-walk';
import { Kept, type SourceText } from '../base/index.js';
import { announceLibrary, isChainLibrary } from './chains/library.js';
import { evaluate } from './evaluate/expressions.js';
import { hoistInto } from './evaluate/functions.js';
import { run } from './evaluate/statements.js';
import { namesOf, saysStrict } from './evaluate/hoisting.js';
import { isOnlyModule, parseScript } from './parse.js';
import type { Reading } from './reading.js';
import { Obj, Promised, Scope, UNKNOWN, type Slot } from './values.js';

/** A module that others import: its text, and the address behind each of its own imports. */
export interface ModuleText {
  readonly source: SourceText;
  readonly imports: ReadonlyMap<string, string>;
}

/** Modules by their address, and what a script itself imports. */
export interface Imports {
  readonly modules: ReadonlyMap<string, ModuleText>;
  readonly imports: ReadonlyMap<string, string>;
}

export const NO_IMPORTS: Imports = { modules: new Map(), imports: new Map() };

type Exports = Map<string, Slot>;
type Item = Statement | ModuleDeclaration;

/** What the modules of a reading export, by address; a module runs once. */
const exported = new WeakMap<Reading, Map<string, Exports>>();

/** What a script imports before it runs, and what as it runs. */
export interface Specifiers {
  readonly first: readonly string[];
  readonly late: readonly string[];
}

/**
 * The specifiers a script names in its import and export statements, and those it imports as it runs, each once.
 * @spec ecma-262 §16.2, §13.3.10 (import calls)
 */
export function specifiersOf(text: string, type: 'module' | 'script'): Specifiers {
  const calls = /\bimport\s*\(/.test(text);
  if (type === 'script' && !calls) return { first: [], late: [] };
  const program = parsedOf(text, type);
  const first = (program?.body ?? []).flatMap((item) => {
    const source = 'source' in item ? item.source : null;
    return source && typeof source.value === 'string' ? [source.value] : [];
  });
  const late: string[] = [];
  if (program && calls)
    simple(program, {
      ImportExpression({ source }) {
        if (source.type === 'Literal' && typeof source.value === 'string') late.push(source.value);
      },
    });
  return { first: [...new Set(first)], late: [...new Set(late)] };
}

/** What a script that runs imports: a promise of the names of a module. */
function importAs(reading: Reading, specifier: string, from: Imports): Promised {
  const exports = exportsOf(reading, specifier, from);
  if (!exports) reading.note('a module that it imports could not be read');
  const proto = reading.realm.protos.promise;
  return exports ? new Promised(proto, 'kept', namespaceOf(exports)) : new Promised(proto, 'unknown', UNKNOWN);
}

const importer = (reading: Reading, from: Imports) => (specifier: string) => importAs(reading, specifier, from);

/** Runs a classic script. Top-level statements of a library are passed over where a file holds more than that. */
export function runText(reading: Reading, source: SourceText, holdsLibrary: boolean, from: Imports): void {
  reading.importers.set(source, importer(reading, from));
  const program = parsedOf(source.text, 'script');
  reading.source = source;
  reading.node = null;
  if (!program) {
    if (!isOnlyModule(source.text)) unreadable(reading);
    return;
  }
  const { window } = reading.realm;
  const top = new Scope(null, { self: window, args: [], callee: null, target: null }, window.props);
  top.strict = saysStrict(program.body);
  hoistInto(reading, program, top);
  for (const statement of program.body) {
    reading.source = source;
    const isLibrary = holdsLibrary && isChainLibrary(source.text.slice(statement.start, statement.end));
    if (isLibrary) announceLibrary(reading);
    else run(reading, statement as never, top);
  }
}

function unreadable(reading: Reading): void {
  reading.node = { start: 0, end: 0 };
  reading.note('it cannot be read');
}

/** Runs the module of a page: one of an address of its own runs once, whoever imports it. */
export function runModule(reading: Reading, source: SourceText, address: string | null, from: Imports): void {
  if (address === null) evaluateModule(reading, { source, imports: from.imports }, from, new Map());
  else exportsAt(reading, address, from);
}

/** Gives the names a module imports the values that other modules export; unknown where those are not there. */
function importInto(reading: Reading, { body }: Program, top: Scope, from: Imports): void {
  for (const item of body) if (item.type === 'ImportDeclaration') bindImports(reading, item, top, from);
}

function bindImports(reading: Reading, { source, specifiers }: ImportDeclaration, top: Scope, from: Imports): void {
  const exports = exportsOf(reading, String(source.value), from);
  for (const specifier of specifiers) {
    const { local } = specifier;
    if (!exports) top.names.set(local.name, UNKNOWN);
    else if (specifier.type === 'ImportNamespaceSpecifier') top.names.set(local.name, namespaceOf(exports));
    else {
      const name = specifier.type === 'ImportDefaultSpecifier' ? 'default' : nameOf(specifier.imported);
      top.names.set(local.name, exports.has(name) ? exports.get(name) : UNKNOWN);
    }
  }
}

const nameOf = (node: { readonly type: string; readonly name?: string; readonly value?: unknown }): string =>
  node.type === 'Identifier' ? node.name! : String(node.value);

function namespaceOf(exports: Exports): Obj {
  const made = new Obj(null);
  for (const [name, value] of exports) made.props.set(name, value);
  return made;
}

/** What the module behind a specifier exports; null where it is not there. */
function exportsOf(reading: Reading, specifier: string, from: Imports): Exports | null {
  const url = from.imports.get(specifier);
  return url === undefined ? null : exportsAt(reading, url, from);
}

/** What the module at an address exports, run at the first question; null where it is not there. */
function exportsAt(reading: Reading, url: string, from: Imports): Exports | null {
  const module = from.modules.get(url);
  if (!module) return null;
  let known = exported.get(reading);
  if (!known) exported.set(reading, (known = new Map()));
  const found = known.get(url);
  if (found) return found;
  const exports: Exports = new Map();
  known.set(url, exports);
  evaluateModule(reading, module, from, exports);
  return exports;
}

function evaluateModule(
  reading: Reading,
  { source, imports }: ModuleText,
  { modules }: Imports,
  exports: Exports,
): void {
  const program = parsedOf(source.text, 'module');
  const { source: before, node } = reading;
  reading.source = source;
  reading.node = null;
  if (!program) unreadable(reading);
  else {
    const from = { modules, imports };
    reading.importers.set(source, importer(reading, from));
    const top = new Scope(null, { self: undefined, args: [], callee: null, target: null });
    top.strict = true;
    hoistInto(reading, program, top);
    // Functions are there before the body has run: modules that import each other find them.
    for (const item of program.body) exportNames(item, top, exports);
    importInto(reading, program, top, from);
    for (const item of program.body) {
      reading.source = source;
      exportFrom(reading, item, { top, from, exports });
    }
    for (const item of program.body) exportNames(item, top, exports);
  }
  reading.source = before;
  reading.node = node;
}

interface Exporting {
  readonly top: Scope;
  readonly from: Imports;
  readonly exports: Exports;
}

/** Runs a statement of a module; what it passes on from other modules, and a default value, are exported. */
function exportFrom(reading: Reading, item: Item, { top, from, exports }: Exporting): void {
  switch (item.type) {
    case 'ImportDeclaration':
      return;
    case 'ExportAllDeclaration': {
      const other = exportsOf(reading, String(item.source.value), from);
      if (!other) return;
      if (item.exported) exports.set(nameOf(item.exported), namespaceOf(other));
      else for (const [name, value] of other) if (name !== 'default') exports.set(name, value);
      return;
    }
    case 'ExportDefaultDeclaration': {
      const { declaration } = item;
      const named = 'id' in declaration && declaration.id && /Declaration$/.test(declaration.type);
      if (named) {
        run(reading, declaration as never, top);
        exports.set('default', top.names.get(declaration.id!.name));
      } else {
        const type = declaration.type.replace('Declaration', 'Expression');
        exports.set('default', evaluate(reading, { ...declaration, type } as never, top));
      }
      return;
    }
    case 'ExportNamedDeclaration':
      if (item.source) passOn(reading, item, from, exports);
      else if (item.declaration) run(reading, item.declaration as never, top);
      return;
    default:
      run(reading, item as never, top);
  }
}

function passOn(
  reading: Reading,
  { source, specifiers }: ExportNamedDeclaration,
  from: Imports,
  exports: Exports,
): void {
  const other = exportsOf(reading, String(source!.value), from);
  for (const { local, exported: as } of specifiers) exports.set(nameOf(as), other?.get(nameOf(local)) ?? UNKNOWN);
}

/** Exports the names a statement lists or declares, as far as they have values. */
function exportNames(item: Item, { names }: Scope, exports: Exports): void {
  if (item.type !== 'ExportNamedDeclaration' || item.source) return;
  for (const { local, exported: as } of item.specifiers)
    if (names.has(nameOf(local))) exports.set(nameOf(as), names.get(nameOf(local)));
  for (const name of declaredBy(item.declaration)) if (names.has(name)) exports.set(name, names.get(name));
}

function declaredBy(declaration: ExportNamedDeclaration['declaration']): readonly string[] {
  if (!declaration) return [];
  if (declaration.type !== 'VariableDeclaration') return [declaration.id.name];
  const found = new Set<string>();
  for (const { id } of declaration.declarations) namesOf(id, found);
  return [...found];
}

const PARSED_KEPT = 60;
const parsed = new Kept<string, ReturnType<typeof parseScript>>(PARSED_KEPT);

/** Trees of scripts, remembered: pages of one site share them. */
const parsedOf = (text: string, kind: 'script' | 'module'): ReturnType<typeof parseScript> =>
  parsed.get(`${kind} ${text}`, () => parseScript(text, kind));
