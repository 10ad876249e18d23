import { parse, type FunctionExpression, type Program } from 'acorn';

const LATEST = { ecmaVersion: 'latest', allowHashBang: true, allowReturnOutsideFunction: false } as const;

/** A script or module as a tree; null for what is none. */
export function parseScript(text: string, sourceType: 'script' | 'module'): Program | null {
  try {
    return parse(text.replace(/^\s*<!--/, '//--'), { ...LATEST, sourceType });
  } catch (error) {
    if (error instanceof SyntaxError || error instanceof RangeError) return null;
    throw error;
  }
}

/** The text of an event attribute as a function of its event. */
export function parseFunction(text: string): FunctionExpression | null {
  try {
    const program = parse(`(function(event){${text}\n})`, { ...LATEST, sourceType: 'script' });
    const [statement] = program.body;
    const node = statement?.type === 'ExpressionStatement' ? statement.expression : null;
    return node?.type === 'FunctionExpression' ? node : null;
  } catch {
    return null;
  }
}

/** Whether a text that is no script is one only as a module: browsers do not run it either. */
export const isOnlyModule = (text: string): boolean =>
  parseScript(text, 'script') === null && parseScript(text, 'module') !== null;
