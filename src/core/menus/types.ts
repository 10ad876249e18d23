import type { ElementNode } from '../html/index.js';

/** What a menu is for, as its place and wording tell. */
export type MenuKind =
  | 'main'
  | 'utility'
  | 'sidebar'
  | 'footer'
  | 'bottom-bar'
  | 'breadcrumb'
  | 'contents'
  | 'pager'
  | 'languages'
  | 'tabs'
  | 'other';

/** A set of links that belong together, and what opens it. */
export interface Menu {
  /** `menu-1`, `menu-2` … in document order. */
  readonly id: string;
  readonly kind: MenuKind;
  readonly root: ElementNode;
  /** Accessible label of the landmark or, without one, a short description of where it stands. */
  readonly label: string;
  /** Whether a navigation landmark says what it is. */
  readonly landmark: boolean;
  readonly items: readonly MenuItem[];
  readonly toggles: readonly Toggle[];
}

export interface MenuItem {
  /** The link or control a visitor uses. */
  readonly element: ElementNode;
  readonly label: string;
  /** The address as written, or null. */
  readonly href: string | null;
  /** 1 for items of the menu itself, 2 for those of its submenus, and so on. */
  readonly level: number;
  readonly parent: MenuItem | null;
  /** Root of the submenu that belongs to the item, or null. */
  readonly submenu: ElementNode | null;
  /** The markup says it is the page one is on; `by` tells how. */
  readonly current: { readonly by: 'aria-current' | 'class' } | null;
}

/** A control that shows and hides a menu or a part of it. */
export interface Toggle {
  readonly element: ElementNode;
  readonly label: string;
  /** What it opens, or null where that is not known from the markup. */
  readonly panel: ElementNode | null;
  /** How the connection was found. */
  readonly by:
    | 'aria-controls'
    | 'data-target'
    | 'fragment'
    | 'label'
    | 'details'
    | 'popovertarget'
    | 'commandfor'
    | 'handler'
    /** The configuration says so. */
    | 'declared'
    | 'wording'
    /** What a press on it does. */
    | 'effect';
}
