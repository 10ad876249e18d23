import type * as acorn from 'acorn';
import { recursive, type RecursiveVisitors } from 'acorn-walk';

const known = new WeakMap<object, readonly string[]>();

/** Whether a body begins with the words that make it strict mode code. @spec ecma-262 §11.2.1 */
export const saysStrict = (body: readonly acorn.Node[]): boolean => {
  for (const statement of body) {
    const { directive } = statement as { directive?: string };
    if (directive === undefined) return false;
    if (directive === 'use strict') return true;
  }
  return false;
};

/** Names declared with `var` anywhere in a body, outside functions in it. @spec ecma-262 §8.2.6 */
export function hoisted(body: acorn.BlockStatement | acorn.Program): readonly string[] {
  let names = known.get(body);
  if (!names) {
    const found = new Set<string>();
    recursive(body, found, OWN_NAMES);
    known.set(body, (names = [...found]));
  }
  return names;
}

/** Goes through a body and not into functions and classes in it. */
const OWN_NAMES: RecursiveVisitors<Set<string>> = {
  Function: () => undefined,
  Class: () => undefined,
  VariableDeclaration({ kind, declarations }, found) {
    if (kind === 'var') for (const { id } of declarations) namesOf(id, found);
  },
};

export function namesOf(pattern: acorn.Pattern, found: Set<string>): void {
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

type Body = readonly (acorn.Statement | acorn.ModuleDeclaration)[];
const inBlocks = new WeakMap<Body, readonly Declared[]>();

/** Functions declared directly in a block. */
export function blockFunctions(body: Body): readonly Declared[] {
  let found = inBlocks.get(body);
  if (!found) {
    found = body.flatMap((statement): Declared[] => {
      const inner =
        statement.type === 'ExportNamedDeclaration' || statement.type === 'ExportDefaultDeclaration'
          ? statement.declaration
          : statement;
      return inner?.type === 'FunctionDeclaration' && inner.id ? [inner as Declared] : [];
    });
    inBlocks.set(body, found);
  }
  return found;
}

const asking = new WeakMap<object, boolean>();

/** Whether `arguments` stands in a function, outside functions of its own; arrow functions have none of their own. */
export function asksArguments(body: acorn.BlockStatement | acorn.Expression): boolean {
  let known = asking.get(body);
  if (known === undefined) {
    const found = { it: false };
    recursive(body, found, {
      Identifier({ name }, state) {
        if (name === 'arguments') state.it = true;
      },
      Function(node, state, visit) {
        if (node.type === 'ArrowFunctionExpression') visit(node.body, state);
      },
    });
    asking.set(body, (known = found.it));
  }
  return known;
}
