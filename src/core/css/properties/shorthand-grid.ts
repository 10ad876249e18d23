import { isIdent, splitAt, type Component } from '../values/index.js';
import { type Pieces, type Shorthand, ident } from './shorthand-parts.js';

export function gridLines(names: readonly string[]): Shorthand {
  return {
    longhands: names,
    expand: (items) => {
      const parts = splitAt(items, '/');
      if (parts.length > names.length || parts.some((part) => part.length === 0)) return null;
      const custom = (part: readonly Component[] | undefined) =>
        part?.length === 1 && part[0]!.type === 'ident' && part[0]!.name !== 'auto' ? part : undefined;
      const start = parts[0]!;
      const value = (i: number): readonly Component[] =>
        parts[i] ??
        (i === 3 ? custom(parts[1]) : undefined) ??
        (i === 1 || i === 2 ? custom(start) : i === 3 ? custom(start) : undefined) ?? [ident('auto')];
      return Object.fromEntries(names.map((name, i) => [name, value(i)]));
    },
  };
}

const GRID_TEMPLATE = ['grid-template-rows', 'grid-template-columns', 'grid-template-areas'];

const GRID_AUTO = ['grid-auto-rows', 'grid-auto-columns', 'grid-auto-flow'];

export const gridTemplate: Shorthand = {
  longhands: GRID_TEMPLATE,
  expand: (items) => {
    if (items.length === 1 && isIdent(items[0], 'none')) return {};
    const parts = splitAt(items, '/');
    if (parts.length > 2 || parts.some((part) => part.length === 0)) return null;
    const columns: Pieces = parts[1] ? { 'grid-template-columns': parts[1] } : {};
    if (!parts[0]!.some((item) => item.type === 'string'))
      return parts[1] ? { 'grid-template-rows': parts[0]!, ...columns } : null;
    const areas: Component[] = [];
    const rows: Component[] = [];
    let open = false;
    for (const item of parts[0]!) {
      if (item.type === 'string') {
        if (open) rows.push(ident('auto'));
        areas.push(item);
        open = true;
      } else {
        if (item.type === 'block' && open) {
          rows.push(ident('auto'));
          open = false;
        } else if (item.type !== 'block') open = false;
        rows.push(item);
      }
    }
    if (open) rows.push(ident('auto'));
    return { 'grid-template-areas': areas, 'grid-template-rows': rows, ...columns };
  },
};

export const grid: Shorthand = {
  longhands: [...GRID_TEMPLATE, ...GRID_AUTO],
  expand: (items, text) => {
    const parts = splitAt(items, '/');
    const auto = parts.findIndex((part) => part.some((item) => isIdent(item, 'auto-flow')));
    if (auto < 0) return gridTemplate.expand(items, text);
    if (parts.length !== 2) return null;
    const rest = parts[auto]!.filter((item) => !isIdent(item, 'auto-flow', 'dense'));
    const dense = parts[auto]!.some((item) => isIdent(item, 'dense'));
    const fixed = parts[1 - auto]!;
    const flow = `${auto === 0 ? 'row' : 'column'}${dense ? ' dense' : ''}`;
    return {
      [auto === 0 ? 'grid-template-columns' : 'grid-template-rows']: fixed,
      ...(rest.length > 0 ? { [auto === 0 ? 'grid-auto-rows' : 'grid-auto-columns']: rest } : {}),
      'grid-auto-flow': () => flow,
    };
  },
};
