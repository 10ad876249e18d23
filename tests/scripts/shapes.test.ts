import { auditPage, poseAfter, setting, type Move, type Page } from '../../src/core/index.js';
import { find, pageFrom, type Files } from '../support/page.js';

/** A menu `#m` that is out of view, with a handle `#b` and things around them. */
const PAGE = (script: string, more = '') =>
  `<!doctype html><html class="no-js"><head><style>#m{display:none}.open>#m,#m.open,#m.show{display:block}body.menu-open #m{display:block}[data-state=open] #m{display:block}#m[data-open=true]{display:block}</style></head><body><header id="h"><button id="b" class="burger" data-shows="#m" aria-expanded="false"><span id="i">Menu</span></button><ul id="m"><li><a id="a" href="x.html">X</a></li></ul></header><p id="p">text</p>${more}<script>${script}</script></body></html>`;

const page = (script: string, files: Files = {}): Page => pageFrom(PAGE(script), files);

const movesOf = (on: Page, text: string): Move[] =>
  text
    .split(' ')
    .filter(Boolean)
    .map((one) => {
      const [by, selector, key] = one.split(':') as [Move['by'], string, string?];
      return { by, element: find(on, selector), ...(key ? { key: key === 'Space' ? ' ' : key } : {}) };
    });

function isOpen(on: Page, moves: string, width = 1000): boolean {
  const at = setting(width);
  const scene = on.scene({ ...at, pose: poseAfter(on, movesOf(on, moves), at) });
  return scene.seen(find(on, '#a')) !== null;
}

const TOGGLE = "document.querySelector('#m').classList.toggle('open')";

/** Scripts that open the menu with one press of its button and close it with another. */
const TOGGLES: readonly (readonly [string, string])[] = [
  ['a listener by DOM calls', `document.getElementById('b').addEventListener('click', function () { ${TOGGLE} })`],
  [
    'a function nobody calls is called by the window',
    `function wire() { this.flip = () => ${TOGGLE} } wire(); b.onclick = () => window.flip()`,
  ],
  [
    'but not in strict code',
    `(function () { 'use strict'; function who() { return this } class A { at() { return (0, function () { return this })() } } if (who() === undefined && new A().at() === undefined) b.onclick = () => ${TOGGLE} })()`,
  ],
  ['what a pattern cannot do', `try { 'a'.matchAll(/a/) } catch { b.onclick = () => { ${TOGGLE} } }`],
  ['a property', `document.querySelector('.burger').onclick = () => { ${TOGGLE} }`],
  [
    'an immediate function',
    `(function () { var m = document.getElementById('m'); b.addEventListener('click', function () { m.className = m.className ? '' : 'open' }) })()`,
  ],
  [
    'waiting for the page',
    `document.addEventListener('DOMContentLoaded', () => document.querySelectorAll('button').forEach((x) => x.addEventListener('click', () => ${TOGGLE})))`,
  ],
  ['window load', `window.onload = function () { b.onclick = function () { ${TOGGLE} } }`],
  [
    'delegated by hand',
    `document.addEventListener('click', (e) => { const t = e.target.closest('[data-shows]'); if (!t) return; document.querySelector(t.dataset.shows).classList.toggle('open') })`,
  ],
  [
    'a convention of data attributes',
    `for (const t of document.querySelectorAll('[data-shows]')) { const to = document.querySelector(t.getAttribute('data-shows')); t.addEventListener('click', () => to.classList.toggle('show')) }`,
  ],
  [
    'steps of an iterator, as compilers write loops',
    `const all = document.querySelectorAll('button'); let it = typeof Symbol !== 'undefined' && all[Symbol.iterator] || all['@@iterator'], step; for (it = it.call(all); !(step = it.next()).done;) step.value.addEventListener('click', () => ${TOGGLE})`,
  ],
  [
    'entries of a map, taken one by one',
    `const m = new Map([[b, '#m']]); const it = m.entries(); for (let s = it.next(); !s.done; s = it.next()) { const [k, v] = s.value; k.onclick = () => document.querySelector(v).classList.toggle('open') }`,
  ],
  [
    'an iterable of its own',
    `const each = { [Symbol.iterator]() { let i = 0; return { next: () => (i++ < 1 ? { done: false, value: b } : { done: true }) } } }; [...each].forEach((x) => { x.onclick = () => ${TOGGLE} })`,
  ],
  [
    'what stands left is found before the right',
    `let s; const all = { x: { open: false } }; let i = 0; const marks = [0, 0]; b.onclick = () => { (s = all.x).open = !s.open; marks[i++] += 1; if (i > 1) i = 0; document.querySelector('#m').classList.toggle('open', s.open && marks[1] === 0) }`,
  ],
  [
    'a subclass of functions, as compilers write it',
    `function up(t, o, a) { return o = Object.getPrototypeOf(o), Reflect.construct(o, a || [], Object.getPrototypeOf(t).constructor) } function Base(el) { this.el = el } Base.prototype.flip = function () { ${TOGGLE} }; function Menu(el) { var me = up(this, Menu, [el]); me.bind(); return me } Menu.prototype = Object.create(Base.prototype, { constructor: { value: Menu, writable: true, configurable: true } }); Object.setPrototypeOf(Menu, Base); Object.defineProperty(Menu.prototype, 'bind', { enumerable: false, value: function () { var me = this; this.el.addEventListener('click', function () { me.flip() }) } }); new Menu(b)`,
  ],
  [
    'kinds of values told by their tag, as polyfills ask for it',
    `const kind = {}.toString, probe = {}; probe[Symbol.toStringTag] = 'z'; const told = String(probe) === '[object z]' && kind.call(true) === '[object Boolean]' && kind.call(Object(true)) === '[object Boolean]' && kind.call(Object('a')) === '[object String]' && typeof Object(1) === 'object'; if (told) b.onclick = () => ${TOGGLE}`,
  ],
  [
    'a namespace without prototype, gone through by its keys',
    `const parts = Object.freeze({ __proto__: null, [Symbol.toStringTag]: 'Module', menu: (el) => { el.onclick = () => ${TOGGLE} } }); for (const name of Object.keys(parts)) parts[name](b); for (const name in Object.defineProperty({}, 'hidden', { value: 1 })) missing(name)`,
  ],
  [
    'a way up through what may be shadow trees',
    `const up = (s, el) => !el || el === document ? null : (slot(el) || el).closest(s) || up(s, el.getRootNode().host); const slot = (n) => n.assignedSlot || (n.parentNode ? slot(n.parentNode) : null); document.addEventListener('click', (e) => { if (up('.burger', e.composedPath()[0])) ${TOGGLE} }, true)`,
  ],
  [
    'a message to itself',
    `const { port1, port2 } = new MessageChannel(); port1.onmessage = ({ data }) => { if (data === 'flip') ${TOGGLE} }; b.onclick = () => port2.postMessage('flip')`,
  ],
  [
    'a guard whose other answer is an error',
    `function callable(x) { if (typeof x == 'function') return x; throw new TypeError('no function') } try { callable(navigator.serviceWorker.register) } catch (e) { throw e } b.onclick = () => ${TOGGLE}`,
  ],
  [
    'a generator',
    `function* all() { for (const x of document.querySelectorAll('header button')) yield x; yield* document.querySelectorAll('#none') } for (const x of all()) x.onclick = () => ${TOGGLE}`,
  ],
  [
    'a class with methods',
    `class Menu { #on = false; constructor(el, { name = 'open' } = {}) { this.el = el; this.name = name; el.querySelector('button').addEventListener('click', this) } handleEvent() { this.#on = !this.#on; this.el.querySelector('ul').classList.toggle(this.name, this.#on) } } new Menu(document.getElementById('h'))`,
  ],
  [
    'an inherited class',
    `class Base { constructor(el) { this.el = el; this.bind() } bind() {} set open(v) { this.el.classList.toggle('open', v) } get open() { return this.el.classList.contains('open') } } class Header extends Base { bind() { super.bind(); b.addEventListener('click', () => { this.open = !this.open }) } } new Header(h)`,
  ],
  [
    'options in a literal',
    `function init(o) { const s = Object.assign({ cls: 'open', root: 'header' }, o); const r = document.querySelector(s.root); r.querySelector(s.button).addEventListener('click', () => r.classList.toggle(s.cls)) } init({ button: '.burger' })`,
  ],
  [
    'a state of its own',
    `let on = false; b.addEventListener('click', () => { on = !on; m.style.display = on ? 'block' : 'none' })`,
  ],
  [
    'an attribute',
    `b.onclick = () => { const on = b.getAttribute('aria-expanded') === 'true'; b.setAttribute('aria-expanded', String(!on)); h.dataset.state = on ? 'closed' : 'open' }`,
  ],
  [
    'a class on the body',
    `const t = document.getElementsByClassName('burger')[0]; t.addEventListener('pointerup', () => document.body.classList.toggle('menu-open'))`,
  ],
  ['the next element', `b.addEventListener('click', function () { this.nextElementSibling.classList.toggle('open') })`],
  ['the parent', `b.addEventListener('click', ({ currentTarget: t }) => t.parentElement.classList.toggle('open'))`],
  ['a timer', `b.addEventListener('click', () => setTimeout(() => ${TOGGLE}, 300))`],
  ['the next frame', `b.addEventListener('click', () => requestAnimationFrame(() => ${TOGGLE}))`],
  ['a promise', `b.addEventListener('click', async () => { await new Promise((r) => setTimeout(r, 100)); ${TOGGLE} })`],
  [
    'a module bundle',
    `!function (e) { var t = {}; function n(r) { if (t[r]) return t[r].exports; var o = t[r] = { exports: {} }; return e[r].call(o.exports, o, o.exports, n), o.exports } n(1) }([function (e, t) { t.toggle = function (x) { x.classList.toggle('open') } }, function (e, t, n) { var r = n(0); document.querySelector('#b').addEventListener('click', function () { r.toggle(document.querySelector('#m')) }) }])`,
  ],
  [
    'a map of handlers',
    `const acts = new Map([['b', () => ${TOGGLE}]]); document.body.addEventListener('click', (e) => { for (const [id, act] of acts) if (e.target.closest('#' + id)) act() })`,
  ],
  [
    'a switch over tags',
    `document.onclick = function (e) { switch (e.target.tagName.toLowerCase()) { case 'span': case 'button': ${TOGGLE}; break; default: } }`,
  ],
  [
    'a getter defined by hand',
    `var o = {}; Object.defineProperty(o, 'el', { get: function () { return document.querySelector('#m') } }); b.onclick = function () { o.el.classList.toggle('open') }`,
  ],
  [
    'bound functions',
    `function M(el) { this.el = el; b.addEventListener('click', this.flip.bind(this)) } M.prototype.flip = function () { this.el.classList.toggle('open') }; new M(m)`,
  ],
  ['storage that is empty', `if (localStorage.getItem('menu') === 'gone') m.remove(); b.onclick = () => ${TOGGLE}`],
  [
    'optional calls',
    `document.querySelector('#none')?.addEventListener('click', () => {}); b?.addEventListener?.('click', () => { m?.classList.toggle('open') })`,
  ],
];

test.each(TOGGLES)('opens and closes by %s', (_name, script) => {
  const on = page(script);
  expect([isOpen(on, ''), isOpen(on, 'press:#b'), isOpen(on, 'press:#i'), isOpen(on, 'press:#b press:#b')]).toEqual([
    false,
    true,
    true,
    false,
  ]);
  expect(on.limits.filter(({ kind }) => kind === 'unread')).toEqual([]);
});

/** Chains of calls, with the library that pages know as `$` beside them. */
const LIBRARY = `/*! chains */(function(w){var jQuery=function(s,c){return new jQuery.fn.init(s,c)};jQuery.fn=jQuery.prototype={jquery:"3.0",constructor:jQuery};w.jQuery=w.$=jQuery})(window);${'/* padding of a large file */'.repeat(800)}`;

const CHAINS: readonly (readonly [string, string])[] = [
  ['on', `$('#b').on('click', function () { $('#m').toggleClass('open') })`],
  [
    'click',
    `$(function () { $('.burger').click(function (e) { e.preventDefault(); $(this).next('ul').toggleClass('show') }) })`,
  ],
  [
    'delegated',
    `$(document).on('click', '[data-shows]', function () { $($(this).data('shows')).toggleClass('open') })`,
  ],
  [
    'slideToggle',
    `jQuery(document).ready(function ($) { $('#b').bind('click', function () { $(this).siblings('ul').slideToggle(200) }) })`,
  ],
  [
    'each and css',
    `$('header').each(function () { var $h = $(this), on = 0; $h.find('button').on('click.x', function () { on = !on; $h.children('ul').css('display', on ? 'block' : 'none') }) })`,
  ],
  [
    'a plugin',
    `$.fn.folds = function (o) { var s = $.extend({ cls: 'open' }, o); return this.each(function () { var $b = $(this); $b.on('click', function () { $b.parent().toggleClass(s.cls) }) }) }; $('#b').folds()`,
  ],
  [
    'attr and hasClass',
    `$('#b').click(function () { var $m = $('ul:first'); $m.hasClass('open') ? $m.removeClass('open') : $m.addClass('open'); $(this).attr('aria-expanded', $m.hasClass('open')) })`,
  ],
];

test.each(CHAINS)('chained calls: %s', (_name, script) => {
  const on = pageFrom(PAGE(script).replace('<script>', '<script src="lib.js"></script><script>'), {
    'lib.js': LIBRARY,
  });
  expect([isOpen(on, ''), isOpen(on, 'press:#b'), isOpen(on, 'press:#b press:#b')]).toEqual([false, true, false]);
});

/** Names of queries that style sheets hand to scripts; each opens the menu below 700 px. */
test.each<[string, string, string]>([
  [
    'generated words',
    'body::before{content:"wide";display:none}@media(max-width:699px){body::before{content:"narrow"}}',
    `getComputedStyle(document.body, ':before').content.replace(/["']/g, '')`,
  ],
  [
    'a custom property',
    ':root{--look: wide}@media(max-width:699px){:root{--look: narrow}}',
    `getComputedStyle(document.documentElement).getPropertyValue('--look')`,
  ],
  [
    'the font of a made element',
    '.probe{font-family:"wide"}@media(max-width:699px){.probe{font-family:narrow}}',
    `(() => { const p = document.createElement('i'); p.className = 'probe'; document.body.append(p); return getComputedStyle(p).fontFamily })()`,
  ],
])('a sheet tells a script its width by %s', (_name, css, asked) => {
  const on = pageFrom(PAGE(`if (${asked} === 'narrow') m.classList.add('open')`).replace('<style>', `<style>${css}`));
  expect([375, 699, 700, 1280].map((width) => isOpen(on, '', width))).toEqual([true, true, false, false]);
  expect(on.limits.filter(({ kind }) => kind === 'unread')).toEqual([]);
});

test('chains find what they made by its class, and its style', () => {
  const css = '.probe{font-family:"wide"}@media(max-width:699px){.probe{font-family:narrow}}';
  const script = `$('<meta class="probe">').appendTo(document.head); if ($('.probe').css('font-family') === 'narrow') $('#m').addClass('open')`;
  const html = PAGE(script)
    .replace('<style>', `<style>${css}`)
    .replace('<script>', '<script src="lib.js"></script><script>');
  const on = pageFrom(html, { 'lib.js': LIBRARY });
  expect([isOpen(on, '', 375), isOpen(on, '', 1280)]).toEqual([true, false]);
});

test.each<[string, string, string, boolean]>([
  ['a script names it', 'inset:0', `pager.load().then(() => document.querySelector('.preloader').remove())`, true],
  ['no script names it', 'inset:0', 'pager.load()', false],
  [
    'it is no more than a corner',
    'top:0;left:0',
    `pager.load().then(() => document.querySelector('.preloader').remove())`,
    false,
  ],
])('what covers the page while it loads is taken away where %s', (_name, place, script, gone) => {
  const loader = `<div class=preloader id=l style="position:fixed;${place}">Loading</div>`;
  const on = pageFrom(PAGE(script, loader));
  expect(on.scene(setting(1000)).box(find(on, '#l')) === null).toBe(gone);
  expect(on.limits.some(({ consequence }) => consequence.includes('while it loads'))).toBe(gone);
});

test('what was surveyed without a layout is asked again with one', () => {
  const on = page(`b.onclick = () => { m.style.display = getComputedStyle(m).display === 'none' ? 'block' : 'none' }`);
  expect([isOpen(on, '', 1280), isOpen(on, 'press:#b', 1280)]).toEqual([false, true]);
  expect(on.limits.filter(({ kind }) => kind === 'unread')).toEqual([]);
});

/** Scripts that go on only where the language and the browser are what they are. */
test.each<[string, string]>([
  [
    'kinds of things call themselves',
    `var k = (x) => ({}).toString.call(x); need(k(/a/) === '[object RegExp]' && k([]) === '[object Array]' && k(new Map()) === '[object Map]' && k(document) === '[object HTMLDocument]' && k(document.querySelectorAll('p')) === '[object NodeList]')`,
  ],
  [
    'an element is no document',
    `need(!(b instanceof document.constructor) && document instanceof document.constructor && b instanceof Node)`,
  ],
  ['the running script is known', `need(document.currentScript.tagName === 'SCRIPT')`],
  ['later it is not', `setTimeout(() => { need(document.currentScript === null) }, 0)`],
  ['characters by their codes', `need(String.fromCharCode(65, 66) === 'AB' && String.fromCodePoint(9731) === '☃')`],
  [
    'where words begin and end',
    `need('abcab'.startsWith('c', 2) && 'abcab'.endsWith('abc', 3) && !'abc'.includes('a', 1) && 'abcab'.lastIndexOf('a', 2) === 0)`,
  ],
  [
    'lists from their end',
    `need([1, 2, 1].lastIndexOf(1) === 2 && [1, 2, 3].findLast((x) => x < 3) === 2 && [1, 2].reduceRight((a, x) => a + x, '') === '21' && [1, 2, 1].indexOf(1, 1) === 2)`,
  ],
  [
    'sorted copies',
    `var l = [3, 1]; need(l.toSorted().join() === '1,3' && l.join() === '3,1' && l.with(0, 2).join() === '2,1')`,
  ],
  ['flags of patterns', `var g = /a/gi; need(g.flags === 'gi' && g.global && !g.multiline && g.lastIndex === 0)`],
  [
    'limits and functions of numbers',
    `need(Number.EPSILON < 1 && Number.isSafeInteger(4) && Math.acos(1) === 0 && Math.LOG2E > 1)`,
  ],
  [
    'numbers of kinds of nodes',
    `need(b.nodeType === Node.ELEMENT_NODE && document.nodeType === document.DOCUMENT_NODE)`,
  ],
  [
    'attributes with a namespace',
    `b.setAttributeNS(null, 'data-x', '1'); need(b.getAttributeNS(null, 'data-x') === '1' && b.namespaceURI.endsWith('xhtml'))`,
  ],
  [
    'classes that browsers have',
    `need(typeof DOMParser === 'function' && typeof window.FileReader === 'function' && 'fetch' in window && typeof window.Zork === 'undefined' && !window.ScrollOver && typeof Reflect === 'object')`,
  ],
  [
    'what is put in stands there',
    `var d = document.createElement('div'), s = document.createElement('b'); d.appendChild(s); need(s.parentElement === d); s.remove(); need(s.parentNode === null)`,
  ],
])('goes on: %s', (_name, script) => {
  const on = page(
    `function need(x) { if (!x) throw Error('no') } ${script}; setTimeout(() => b.addEventListener('click', () => m.classList.toggle('open')), 0)`,
  );
  expect([isOpen(on, ''), isOpen(on, 'press:#b')]).toEqual([false, true]);
});

/** What hangs on something nobody can tell is neither true nor false: it is said. */
test.each<[string, string]>([
  ['a return that may come first', `function wide() { if (Math.random() > 2) return true; return false }`],
  ['a return in a loop', `function wide() { for (var k in JSON.parse(fetch('x'))) if (k) return true; return false }`],
  ['a return in a branch', `function wide() { if (Math.random() > 2) { var a = 1; return a } else { return 0 } }`],
])('what may be returned: %s', (_name, script) => {
  const on = page(`${script}; b.addEventListener('click', () => { if (wide()) m.classList.add('open') })`);
  expect(isOpen(on, 'press:#b')).toBe(false);
  expect(on.hearing.on(find(on, '#b'), /click/)).toBe(true);
  expect(on.limits.some(({ kind }) => kind === 'unread')).toBe(true);
});

test.each<[string, string, boolean]>([
  [
    'calls of a script that was not there',
    `b.zork(); b.addEventListener('click', () => m.classList.toggle('open'))`,
    true,
  ],
  ['the same where all are there', `b.zork(); b.addEventListener('click', () => m.classList.toggle('open'))`, false],
])('%s', (_name, script, isLost) => {
  const on = pageFrom(PAGE(script).replace('<script>', isLost ? '<script src=lost.js></script><script>' : '<script>'));
  expect(isOpen(on, 'press:#b')).toBe(isLost);
});

/** The library under a file of its name that is not there, and what plug-ins ask of its version. */
test.each<[string, string, string | null, string]>([
  ['by its file', 'https://cdn.example/libs/jquery/3.5.1/jquery.min.js', null, '3.5.1'],
  ['by its file without a number', 'vendor/jquery.min.js', null, '2.2.4'],
  [
    'by its text',
    'lib.js',
    `var other="5.0.1";${LIBRARY.replace('"3.0"', 'v').replace('var jQuery', 'var v="1.11.3",jQuery')}`,
    '1.11.3',
  ],
  ['by text that does not say', 'lib.js', LIBRARY, '2.2.4'],
])('the library %s', (_name, src, text, version) => {
  const script = `if ($.fn.jquery !== '${version}') throw Error($.fn.jquery); $('#b').click(function () { $('#m').toggleClass('open') })`;
  const on = pageFrom(
    PAGE(script).replace('<script>', `<script src="${src}"></script><script>`),
    text === null ? {} : { [src]: text },
  );
  expect([isOpen(on, ''), isOpen(on, 'press:#b'), isOpen(on, 'press:#b press:#b')]).toEqual([false, true, false]);
  expect(on.limits.some(({ subject }) => subject.startsWith('library '))).toBe(text === null);
});

/** What extensions of the library reach for while they load stops none of them. */
test.each([
  '$.Tween.propHooks.scrollTop = {}',
  "$.event.props.push('dataTransfer')",
  '$.ajaxSetup({ cache: true })',
  '$.Callbacks().add(function () {})',
  "$.fn.init.prototype.extra = 1; $.find('a')",
  '$.speed(1); $.style(document.body, "top"); $.cleanData([])',
])('the library has %s', (extension) => {
  const script = `${extension}; $('#b').click(function () { $('#m').toggleClass('open') })`;
  const on = pageFrom(PAGE(script).replace('<script>', '<script src="lib/jquery.min.js"></script><script>'));
  expect(isOpen(on, 'press:#b')).toBe(true);
});

test.each<[string, string, string, boolean]>([
  ['hover opens', "h.addEventListener('mouseenter', () => m.classList.add('open'))", 'hover:#b', true],
  [
    'hover closes after a while',
    "h.onmouseenter = () => m.classList.add('open'); h.onmouseleave = () => setTimeout(() => m.classList.remove('open'), 400)",
    'hover:#b hover:#p',
    false,
  ],
  ['focus opens', "b.addEventListener('focus', () => m.classList.add('open'))", 'focus:#b', true],
  [
    'focus leaving closes',
    "b.addEventListener('focusin', () => m.classList.add('open')); h.addEventListener('focusout', (e) => m.classList.remove('open'))",
    'focus:#b focus:#a',
    false,
  ],
  ['Enter presses a button', "b.addEventListener('click', () => m.classList.add('open'))", 'key:#b:Enter', true],
  [
    'an arrow key opens',
    "b.addEventListener('keydown', (e) => { if (e.key === 'ArrowDown') m.classList.add('open') })",
    'key:#b:ArrowDown',
    true,
  ],
  [
    'and no other one',
    "b.addEventListener('keydown', (e) => { if (e.key === 'ArrowDown') m.classList.add('open') })",
    'key:#b:ArrowUp',
    false,
  ],
  [
    'key codes count too',
    "b.onkeyup = function (e) { if (e.keyCode == 40) m.className = 'open' }",
    'key:#b:ArrowDown',
    true,
  ],
  [
    'Escape closes',
    "b.onclick = () => m.classList.add('open'); document.addEventListener('keydown', (e) => e.key === 'Escape' && m.classList.remove('open'))",
    'press:#b key:#b:Escape',
    false,
  ],
  [
    'a press elsewhere closes',
    "b.onclick = () => m.classList.add('open'); document.addEventListener('click', (e) => { if (!h.contains(e.target)) m.classList.remove('open') })",
    'press:#b press:#p',
    false,
  ],
  [
    'a press inside does not',
    "b.onclick = () => m.classList.add('open'); document.addEventListener('click', (e) => { if (!h.contains(e.target)) m.classList.remove('open') })",
    'press:#b press:#h',
    true,
  ],
  [
    'stopped events are not heard',
    "b.addEventListener('click', (e) => e.stopPropagation()); document.addEventListener('click', () => m.classList.add('open'))",
    'press:#b',
    false,
  ],
  [
    'once is once',
    "b.addEventListener('click', () => m.classList.toggle('open'), { once: true })",
    'press:#b press:#b',
    true,
  ],
  [
    'listeners can be taken away',
    "const f = () => m.classList.add('open'); b.addEventListener('click', f); b.removeEventListener('click', f)",
    'press:#b',
    false,
  ],
  ['presses by script', "p.onclick = () => b.click(); b.onclick = () => m.classList.add('open')", 'press:#p', true],
  ['an error stops one script only', "nothing.there(); b.onclick = () => m.classList.add('open')", 'press:#b', false],
])('events: %s', (_name, script, moves, open) => {
  expect(isOpen(page(script), moves)).toBe(open);
});

test.each<[string, string, number, boolean]>([
  ['wide windows by matchMedia', "if (matchMedia('(min-width: 800px)').matches) m.classList.add('open')", 1000, true],
  ['narrow ones', "if (matchMedia('(min-width: 800px)').matches) m.classList.add('open')", 500, false],
  ['the width of the window', "if (window.innerWidth < 600) m.classList.add('open')", 500, true],
  ['the place of an element', "if (b.getBoundingClientRect().top < 5000) m.classList.add('open')", 1000, true],
  ['what is computed', "if (getComputedStyle(m).display === 'none') m.classList.add('open')", 1000, true],
])('at load: %s', (_name, script, width, open) => {
  expect(isOpen(page(script), '', width)).toBe(open);
});

test('classes set at load are the state at rest, with scripts alone', () => {
  const on = pageFrom(
    '<!doctype html><html class="no-js"><style>.js #a{display:none}</style><script>document.documentElement.className = "js"</script><body><a id=a href=x>X</a></body></html>',
  );
  const a = find(on, '#a');
  expect(on.scene(setting(1000)).seen(a)).toBeNull();
  expect(on.scene(setting(1000, { visitor: 'no-script' })).seen(a)).not.toBeNull();
});

test('a script in the head does not find what comes after it', () => {
  const on = pageFrom(
    '<!doctype html><style>#m{display:none}#m.open{display:block}</style><script>document.querySelector("#b").onclick = () => m.classList.add("open")</script><button id=b>Menu</button><div id=m><a id=a href=x>X</a></div>',
  );
  expect(isOpen(on, 'press:#b')).toBe(false);
});

test('custom elements are given their class', () => {
  const on = page(
    "customElements.define('menu-button', class extends HTMLElement { connectedCallback() { this.addEventListener('click', () => m.classList.toggle('open')) } })",
  );
  const own = pageFrom(
    PAGE(
      "customElements.define('menu-button', class extends HTMLElement { connectedCallback() { this.addEventListener('click', () => m.classList.toggle('open')) } })",
      '<menu-button id="x">Menu</menu-button>',
    ),
  );
  expect(isOpen(on, '')).toBe(false);
  expect(isOpen(own, 'press:#x')).toBe(true);
});

test('handlers in attributes are read, and checkboxes tell scripts', () => {
  const by = pageFrom(
    PAGE(
      'function flip(x) { m.classList.toggle("open"); return false }',
      '<a id="l" href="y.html" onclick="return flip(this)">Menu</a><input id="c" type="checkbox" onchange="m.classList.toggle(\'open\', this.checked)">',
    ),
  );
  expect(isOpen(by, 'press:#l')).toBe(true);
  expect(poseAfter(by, movesOf(by, 'press:#l'), setting(1000)).left).toBeUndefined();
  expect([isOpen(by, 'press:#c'), isOpen(by, 'press:#c press:#c')]).toEqual([true, false]);
});

describe('what cannot be followed is said', () => {
  test.each<[string, string]>([
    ['an unknown condition', "b.onclick = () => { if (Math.random() > 0.5) m.classList.add('open') }"],
    ['a handler nobody knows', "b.addEventListener('click', fetch('x').then)"],
    [
      'an element nobody knows',
      "new DOMParser().parseFromString('', 'text/html').querySelector('b').addEventListener('click', () => m.classList.add('open'))",
    ],
    ['a script that is none', 'b.onclick = ) =>'],
    ['a loop without end', "for (;;) { m.classList.toggle('x') }"],
  ])('%s', (_name, script) => {
    const on = page(script);
    expect(isOpen(on, 'press:#b')).toBe(false);
    expect(on.limits.some(({ kind }) => kind === 'unread')).toBe(true);
  });

  test('a missing script', () => {
    const on = pageFrom(PAGE('').replace('<script>', '<script src="gone.js"></script><script>'), { 'other.js': '' });
    expect(on.limits.some(({ kind, subject }) => kind === 'missing' && subject.includes('gone.js'))).toBe(true);
  });

  test('and nothing is said where a browser does not run it either', () => {
    expect(page('import "./x.js"; b.onclick = null').limits.filter(({ kind }) => kind === 'unread')).toEqual([]);
  });

  test('content a script adds to a menu', () => {
    const NAV = `<nav aria-label=Main><ul id=list><li><a href=a>A</a></li><li><a href=b>B</a></li></ul></nav><button id=b>Go</button>`;
    const adds = (script: string) =>
      auditPage(pageFrom(`<!doctype html>${NAV}<script>${script}</script>`), {
        at: [800],
        only: ['list-structure'],
      }).limits.map(({ subject }) => subject);
    expect(adds("list.insertAdjacentHTML('beforeend', '<li><a href=c>C</a></li>')")).toEqual(['#list']);
    expect(adds("list.append(document.createElement('li'))")).toEqual(['#list']);
    expect(adds("b.textContent = 'Go on'")).toEqual([]);
  });
});

test.each([
  ['taken out one by one', 'while (p.firstChild) p.removeChild(p.firstChild)', 0],
  [
    'put into something made',
    "const d = document.createElement('div'); while (p.firstChild) d.appendChild(p.firstChild)",
    0,
  ],
  ['put last in their own place', 'for (let i = 0; i < 9; i++) p.appendChild(p.firstChild)', 1],
  ['emptied at once', "p.innerHTML = ''", 0],
])('children %s', (_name, script, left) => {
  const on = page(`${script}; p.title = p.childNodes.length`, {});
  expect(on.restingPose(setting(1000)).changed?.get(find(on, '#p'))?.get('title')).toBe(String(left));
  expect(on.limits.filter(({ consequence }) => consequence.includes('does not end'))).toEqual([]);
});
