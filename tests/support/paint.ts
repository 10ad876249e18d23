import type { Scene } from '../../src/core/index.js';

/** The paint list as plain data: what, where, how it is clipped and coloured, lowest first. */
export const dumpItems = (scene: Scene): unknown[] =>
  scene.items.map(({ node }) => ({
    path: node.box.element?.path ?? null,
    pseudo: node.box.pseudo,
    text: node.fragment.kind === 'text' ? node.fragment.text : null,
    rect: node.rect,
    clips: node.clips.map((clip) => clip.rect),
    colour: scene.paintStyle(node.box).color,
    ground: scene.paintStyle(node.box).backgroundColor,
  }));
