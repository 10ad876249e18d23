import type * as acorn from 'acorn';

const known = new WeakMap<object, readonly string[]>();

/** Names declared with `var` anywhere in a body, outside functions in it. @spec ecma-262 §8.2.6 */
export function hoisted(body: acorn.BlockStatement | acorn.Program): readonly string[] {
  let names = known.get(body);
  if (!names) {
    const found = new Set<string>();
    for (const statement of body.body) collect(statement, found);
    known.set(body, (names = [...found]));
  }
  return names;
}

function collect(node: unknown, found: Set<string>): void {
  if (typeof node !== 'object' || node === null) return;
  if (Array.isArray(node)) {
    for (const one of node) collect(one, found);
    return;
  }
  const { type } = node as { type?: string };
  if (type === undefined || /Function|^Class|Expression$|^Literal$|^Identifier$/.test(type)) return;
  if (type === 'VariableDeclaration') {
    const { kind, declarations } = node as acorn.VariableDeclaration;
    if (kind === 'var') for (const { id } of declarations) namesOf(id, found);
    return;
  }
  for (const value of Object.values(node)) if (typeof value === 'object') collect(value, found);
}

function namesOf(pattern: acorn.Pattern, found: Set<string>): void {
  switch (pattern.type) {
    case 'Identifier':
      found.add(pattern.name);
      return;
    case 'ObjectPattern':
      for (const one of pattern.properties) namesOf(one.type === 'RestElement' ? one.argument : one.value, found);
      return;
    case 'ArrayPattern':
      for (const one of pattern.elements) if (one) namesOf(one, found);
      return;
    case 'AssignmentPattern':
      return namesOf(pattern.left, found);
    case 'RestElement':
      return namesOf(pattern.argument, found);
  }
}

type Declared = acorn.FunctionDeclaration;

/** Functions declared directly in a block. */
export const blockFunctions = (body: readonly (acorn.Statement | acorn.ModuleDeclaration)[]): readonly Declared[] =>
  body.flatMap((statement): Declared[] => {
    const inner =
      statement.type === 'ExportNamedDeclaration' || statement.type === 'ExportDefaultDeclaration'
        ? statement.declaration
        : statement;
    return inner?.type === 'FunctionDeclaration' && inner.id ? [inner as Declared] : [];
  });
