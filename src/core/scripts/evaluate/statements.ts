import type * as acorn from 'acorn';
import type { Reading } from '../reading.js';
import { Thrown } from '../trail.js';
import { Obj, Scope, truth, Unknown, UNKNOWN, type Value } from '../values.js';
import { makeClass } from './classes.js';
import { evaluate } from './expressions.js';
import { declareFunctions } from './functions.js';
import { itemsOf } from './iteration.js';
import { bind } from './patterns.js';

/** How a statement ended where it did not just end. */
interface Completion {
  readonly kind: 'return' | 'break' | 'continue';
  readonly value: Value;
  readonly label: string | null;
}

/** Rounds of one loop that are followed. */
const ROUNDS = 3_000;

/** What a function's statements return; unknown where something that may or may not hold returns another value before. */
export function runBody(reading: Reading, body: readonly acorn.Statement[], scope: Scope): Value {
  const outer = reading.returns;
  const own: Value[] = [];
  reading.returns = own;
  try {
    const end = runList(reading, body, scope);
    const value = end?.kind === 'return' ? end.value : undefined;
    return own.every((one) => one === value) ? value : UNKNOWN;
  } finally {
    reading.returns = outer;
  }
}

/** Follows what may or may not happen; what it would return is remembered. */
function maybe(reading: Reading, work: () => Completion | undefined): void {
  reading.perhaps(() => {
    const end = work();
    if (end?.kind === 'return') reading.returns.push(end.value);
  });
}

function runList(reading: Reading, body: readonly acorn.Statement[], scope: Scope): Completion | undefined {
  for (const [i, statement] of body.entries()) {
    const guards = statement.type === 'IfStatement' && !statement.alternate && body[i + 1]?.type === 'ThrowStatement';
    const end = guards ? runGuard(reading, statement, scope) : run(reading, statement, scope);
    if (end) return end;
  }
  return undefined;
}

/** A question whose other answer is an error: where it cannot be told, nothing is wrong. */
function runGuard(reading: Reading, node: acorn.IfStatement, scope: Scope): Completion | undefined {
  reading.step();
  return truth(evaluate(reading, node.test, scope)) === false ? undefined : run(reading, node.consequent, scope);
}

/** Follows one statement. @spec ecma-262 §14 */
export function run(
  reading: Reading,
  node: acorn.Statement | acorn.ModuleDeclaration,
  scope: Scope,
): Completion | undefined {
  reading.step();
  switch (node.type) {
    case 'ExpressionStatement':
      evaluate(reading, node.expression, scope);
      return undefined;
    case 'VariableDeclaration':
      declare(reading, node, scope);
      return undefined;
    case 'FunctionDeclaration':
    case 'EmptyStatement':
    case 'DebuggerStatement':
      return undefined;
    case 'ReturnStatement':
      return {
        kind: 'return',
        value: node.argument ? evaluate(reading, node.argument, scope) : undefined,
        label: null,
      };
    case 'IfStatement':
      return runIf(reading, node, scope);
    case 'BlockStatement':
      return runBlock(reading, node.body, scope);
    case 'ClassDeclaration':
      scope.names.set(node.id.name, makeClass(reading, node, scope));
      return undefined;
    case 'BreakStatement':
      return { kind: 'break', value: undefined, label: node.label?.name ?? null };
    case 'ContinueStatement':
      return { kind: 'continue', value: undefined, label: node.label?.name ?? null };
    case 'ThrowStatement':
      throw new Thrown(evaluate(reading, node.argument, scope));
    case 'TryStatement':
      return runTry(reading, node, scope);
    case 'SwitchStatement':
      return runSwitch(reading, node, scope);
    case 'LabeledStatement': {
      const end = run(reading, node.body, scope);
      return end && end.label === node.label.name ? undefined : end;
    }
    case 'ExportNamedDeclaration':
      return node.declaration ? run(reading, node.declaration, scope) : undefined;
    case 'ExportDefaultDeclaration': {
      const { declaration } = node;
      if (declaration.type !== 'FunctionDeclaration' && declaration.type !== 'ClassDeclaration')
        evaluate(reading, declaration as acorn.Expression, scope);
      return undefined;
    }
    default:
      return runLoop(reading, node, scope);
  }
}

function declare(reading: Reading, node: acorn.VariableDeclaration, scope: Scope): void {
  for (const { id, init } of node.declarations) {
    if (node.kind === 'var') {
      if (init)
        bind(reading, id, evaluate(reading, init, scope, id.type === 'Identifier' ? id.name : ''), scope, false);
    } else
      bind(
        reading,
        id,
        init ? evaluate(reading, init, scope, id.type === 'Identifier' ? id.name : '') : undefined,
        scope,
        true,
      );
  }
}

function runBlock(reading: Reading, body: readonly acorn.Statement[], scope: Scope): Completion | undefined {
  const inner = new Scope(scope);
  declareFunctions(reading, body, inner);
  return runList(reading, body, inner);
}

function runIf(reading: Reading, node: acorn.IfStatement, scope: Scope): Completion | undefined {
  const known = truth(evaluate(reading, node.test, scope));
  if (known === null) {
    // Where one way only leaves, the other is taken as the one that is meant.
    if (onlyLeaves(node.consequent)) {
      maybe(reading, () => run(reading, node.consequent, scope));
      return node.alternate ? run(reading, node.alternate, scope) : undefined;
    }
    if (node.alternate && onlyLeaves(node.alternate)) {
      maybe(reading, () => run(reading, node.alternate!, scope));
      return run(reading, node.consequent, scope);
    }
    maybe(reading, () => run(reading, node.consequent, scope));
    if (node.alternate) maybe(reading, () => run(reading, node.alternate!, scope));
    return undefined;
  }
  if (known) return run(reading, node.consequent, scope);
  return node.alternate ? run(reading, node.alternate, scope) : undefined;
}

function onlyLeaves(node: acorn.Statement): boolean {
  if (node.type === 'BlockStatement')
    return node.body.length > 0 && onlyLeaves(node.body[node.body.length - 1]!) && node.body.length === 1;
  return ['ReturnStatement', 'ThrowStatement', 'ContinueStatement', 'BreakStatement'].includes(node.type);
}

function runTry(reading: Reading, node: acorn.TryStatement, scope: Scope): Completion | undefined {
  let end: Completion | undefined;
  const { depth } = reading;
  try {
    end = runBlock(reading, node.block.body, scope);
  } catch (error) {
    if (!(error instanceof Thrown) || !node.handler) {
      if (error instanceof Thrown && node.finalizer) runBlock(reading, node.finalizer.body, scope);
      throw error;
    }
    reading.depth = depth;
    const inner = new Scope(scope);
    if (node.handler.param) bind(reading, node.handler.param, error.value, inner, true);
    end = runBlock(reading, node.handler.body.body, inner);
  }
  const last = node.finalizer ? runBlock(reading, node.finalizer.body, scope) : undefined;
  return last ?? end;
}

function runSwitch(reading: Reading, node: acorn.SwitchStatement, scope: Scope): Completion | undefined {
  const value = evaluate(reading, node.discriminant, scope);
  const inner = new Scope(scope);
  if (value instanceof Unknown) {
    for (const one of node.cases) maybe(reading, () => runList(reading, one.consequent, inner));
    return undefined;
  }
  const tests = node.cases.map((one) => (one.test ? evaluate(reading, one.test, inner) : undefined));
  let from = node.cases.findIndex((one, i) => one.test && tests[i] === value);
  if (from < 0) from = node.cases.findIndex((one) => !one.test);
  if (from < 0) return undefined;
  for (const one of node.cases.slice(from)) {
    const end = runList(reading, one.consequent, inner);
    if (end) return end.kind === 'break' && end.label === null ? undefined : end;
  }
  return undefined;
}

function runLoop(
  reading: Reading,
  node: acorn.Statement | acorn.ModuleDeclaration,
  scope: Scope,
): Completion | undefined {
  switch (node.type) {
    case 'ForStatement':
      return runFor(reading, node, scope);
    case 'ForOfStatement': {
      const items = itemsOf(reading, evaluate(reading, node.right, scope));
      return runEach(reading, node, items, scope);
    }
    case 'ForInStatement': {
      const over = evaluate(reading, node.right, scope);
      return runEach(reading, node, over instanceof Unknown ? null : over instanceof Obj ? keysOver(over) : [], scope);
    }
    case 'WhileStatement':
      return repeat(reading, node.body, scope, () => truth(evaluate(reading, node.test, scope)), false);
    case 'DoWhileStatement':
      return repeat(reading, node.body, scope, () => truth(evaluate(reading, node.test, scope)), true);
    default:
      return undefined;
  }
}

/** The keys `for in` goes over: its own and inherited ones that are not hidden. */
function keysOver(object: Obj): readonly string[] {
  const keys = new Set<string>();
  let guard = 0;
  for (let holder: Obj | null = object; holder && !holder.quiet && guard < 20; holder = holder.proto, guard++)
    for (const key of holder.keys()) if (holder === object || key !== 'constructor') keys.add(key);
  return [...keys];
}

function repeat(
  reading: Reading,
  body: acorn.Statement,
  scope: Scope,
  goesOn: () => boolean | null,
  first: boolean,
  after?: () => void,
): Completion | undefined {
  for (let round = 0; round < ROUNDS; round++) {
    const known = first && round === 0 ? true : goesOn();
    if (known === false) return undefined;
    if (known === null) {
      maybe(reading, () => run(reading, body, scope));
      return undefined;
    }
    const end = run(reading, body, scope);
    if (end && !(end.kind === 'continue' && end.label === null))
      return end.kind === 'break' && end.label === null ? undefined : end;
    after?.();
  }
  reading.note('a loop that does not end soon');
  return undefined;
}

function runFor(reading: Reading, node: acorn.ForStatement, scope: Scope): Completion | undefined {
  let inner = new Scope(scope);
  if (node.init?.type === 'VariableDeclaration') declare(reading, node.init, inner);
  else if (node.init) evaluate(reading, node.init, inner);
  const lets = node.init?.type === 'VariableDeclaration' && node.init.kind !== 'var';
  for (let round = 0; round < ROUNDS; round++) {
    const known = node.test ? truth(evaluate(reading, node.test, inner)) : true;
    if (known === false) return undefined;
    const at = inner;
    if (known === null) {
      maybe(reading, () => run(reading, node.body, at));
      return undefined;
    }
    const end = run(reading, node.body, at);
    if (end && !(end.kind === 'continue' && end.label === null))
      return end.kind === 'break' && end.label === null ? undefined : end;
    if (lets) {
      // Each round has names of its own, which functions made in it keep.
      const next = new Scope(scope);
      for (const [name, value] of inner.names) next.names.set(name, value);
      inner = next;
    }
    if (node.update) evaluate(reading, node.update, inner);
  }
  reading.note('a loop that does not end soon');
  return undefined;
}

function runEach(
  reading: Reading,
  node: acorn.ForOfStatement | acorn.ForInStatement,
  items: readonly Value[] | null,
  scope: Scope,
): Completion | undefined {
  const once = (item: Value) => {
    const inner = new Scope(scope);
    const { left } = node;
    if (left.type === 'VariableDeclaration') bind(reading, left.declarations[0]!.id, item, inner, left.kind !== 'var');
    else bind(reading, left, item, inner, false);
    return run(reading, node.body, inner);
  };
  if (items === null) {
    maybe(reading, () => once(UNKNOWN));
    return undefined;
  }
  for (const item of items.slice(0, ROUNDS)) {
    const end = once(item);
    if (end && !(end.kind === 'continue' && end.label === null))
      return end.kind === 'break' && end.label === null ? undefined : end;
  }
  return undefined;
}
