import { SourceText } from '../../base/index.js';
import { parseHtml } from '../../html/index.js';
import { constructor, getter, method, plain } from '../builtins/define.js';
import { DOCUMENT_NAMES } from '../builtins/names.js';
import { Brought } from '../brought.js';
import type { Realm } from '../realm.js';
import type { Reading } from '../reading.js';
import { Loose, Obj, text, UNKNOWN, type Value } from '../values.js';
import { placeIn } from './loose.js';
import { allOf, byClass, firstOf } from './elements.js';
import { listOf } from './lists.js';

/** @spec dom §4.5, html §3.1 */
export function defineDocument(realm: Realm, reading: Reading): void {
  const { documentObject: page, protos } = realm;
  const { document } = reading;
  realm.window.props.set('document', page);
  const kind = new Brought(protos.node, DOCUMENT_NAMES);
  for (const name of ['HTMLDocument', 'Document']) constructor(realm, name, kind, () => UNKNOWN);
  page.proto = kind;
  page.props.set('nodeType', 9);
  page.props.set('dir', document.root.attributes.get('dir') ?? '');
  page.props.set('characterSet', 'UTF-8');
  page.props.set('contentType', 'text/html');
  page.props.set('childElementCount', 1);
  for (const name of ['nodeValue', 'textContent', 'nextSibling', 'previousSibling']) page.props.set(name, null);
  page.props.set('isConnected', true);
  page.props.set('nodeName', '#document');
  getter(page, 'documentElement scrollingElement firstElementChild lastElementChild firstChild lastChild', (r) =>
    r.wrap(document.root),
  );
  getter(page, 'body', (r) => (document.body && document.body.index <= r.horizon ? r.wrap(document.body) : null));
  getter(page, 'head', (r) => r.wrap(document.head));
  getter(page, 'activeElement', (r) => r.wrap(r.standing.focused ?? document.body));
  page.props.set('readyState', 'loading');
  page.props.set('defaultView', realm.window);
  page.props.set('compatMode', document.quirks ? 'BackCompat' : 'CSS1Compat');
  page.props.set('hidden', false);
  page.props.set('visibilityState', 'visible');
  page.props.set('cookie', '');
  page.props.set('referrer', '');
  page.props.set('title', '');
  page.props.set('fonts', plain(realm, { ready: UNKNOWN }));
  getter(page, 'URL documentURI baseURI', (r) => r.url);
  getter(
    page,
    'location',
    (r) => r.get(realm.window, 'location'),
    (r, _self, to) => r.goTo(typeof to === 'string' ? to : null),
  );
  getter(page, 'currentScript', (r) => r.wrap(r.running));
  getter(page, 'styleSheets', () => UNKNOWN);
  getter(page, 'links', (r) =>
    listOf(
      r,
      document.elements.filter((e) => e.tag === 'a' && e.attributes.has('href')),
    ),
  );
  getter(page, 'forms', (r) =>
    listOf(
      r,
      document.elements.filter((e) => e.tag === 'form'),
    ),
  );
  getter(page, 'images', (r) =>
    listOf(
      r,
      document.elements.filter((e) => e.tag === 'img'),
    ),
  );
  getter(page, 'all', (r) => listOf(r, document.elements));
  getter(page, 'children childNodes', (r) => listOf(r, [document.root]));
  getter(page, 'parentNode parentElement ownerDocument', () => null);
  method(realm, page, 'getElementById', (r, _s, [id]) => {
    const written = text(id);
    if (written === null) return UNKNOWN;
    const named = document.byId(written);
    if (named) return named.index <= r.horizon ? r.wrap(named) : null;
    const found = document.elements.find((e) => r.standing.attribute(e, 'id') === written) ?? null;
    return r.wrap(found);
  });
  method(realm, page, 'querySelector', (r, _s, [selector]) => firstOf(r, selector, null));
  method(realm, page, 'querySelectorAll', (r, _s, [selector]) => allOf(r, selector, null));
  method(realm, page, 'getElementsByClassName', (r, _s, [names]) => byClass(r, names, null));
  method(realm, page, 'getElementsByTagName', (r, _s, [name]) => allOf(r, name, null));
  method(realm, page, 'getElementsByName', (r, _s, [name]) => {
    const written = text(name);
    return written === null
      ? UNKNOWN
      : listOf(
          r,
          document.elements.filter((e) => e.attributes.get('name') === written),
        );
  });
  method(realm, page, 'createElement', (_r, _s, [tag]) => new Loose(protos.loose, text(tag)?.toLowerCase() ?? 'div'));
  method(realm, page, 'createElementNS', (_r, _s, [, tag]) => new Loose(protos.loose, text(tag)?.toLowerCase() ?? 'g'));
  method(realm, page, 'createTextNode createComment', () => new Loose(protos.loose, '#text'));
  method(realm, page, 'createDocumentFragment', () => new Loose(protos.loose, '#fragment'));
  method(realm, page, 'createEvent', () => new Obj(protos.event));
  method(
    realm,
    page,
    'createRange createTreeWalker createNodeIterator getSelection elementFromPoint elementsFromPoint',
    () => UNKNOWN,
  );
  method(realm, page, 'hasFocus', () => true);
  method(realm, page, 'append appendChild prepend insertBefore replaceChildren', (_r, _s, [node]) => node);
  method(realm, page, 'contains', (_r, _s, [node]) => !(node instanceof Loose));
  method(realm, page, 'write writeln', (r, _s, parts) => write(r, parts));
  method(realm, page, 'open close execCommand exitFullscreen startViewTransition', () => undefined);
}

/** Files of scripts that are written into the page are loaded; other content is not laid out. @spec html §8.4.3 */
function write(reading: Reading, parts: readonly Value[]): undefined {
  const markup = parts.map(text).join('');
  if (!/<script\b/i.test(markup)) return;
  const { body, root } = reading.document;
  for (const { tag, attributes } of parseHtml(new SourceText('written', markup), { scripting: true }).elements) {
    if (tag !== 'script' || !attributes.has('src')) continue;
    const made = new Loose(reading.realm.protos.loose, 'script');
    for (const [name, value] of attributes) made.attributes.set(name, value);
    placeIn(reading, made, reading.wrap(body ?? root));
  }
}
