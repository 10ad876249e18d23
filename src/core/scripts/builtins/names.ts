/** Classes that browsers have and of which no more is known here. */
const CLASSES = new Set(
  (
    'Option Image Worker Window Touch TouchList Text Storage Selection Screen Response Request Range Proxy Plugin Performance ' +
    'Path2D Notification Navigator MimeType Location History Highlight Headers Gamepad FormData FontFace File FileList FileReader ' +
    'EventSource Crypto Comment CharacterData Blob Attr Animation Atomics DataView ArrayBuffer BigInt WeakRef FinalizationRegistry ' +
    'Intl Date WebAssembly URL URLSearchParams URLPattern TreeWalker NodeIterator NodeFilter NamedNodeMap ShadowRoot StyleSheet ' +
    'StyleSheetList TextEncoder TextDecoder TextMetrics ValidityState VisualViewport WebSocket SharedWorker ServiceWorker ' +
    'BroadcastChannel MessagePort ReadableStream WritableStream TransformStream OffscreenCanvas ImageBitmap ImageData ' +
    'AbortController AbortSignal ClipboardItem CustomElementRegistry DataTransfer DataTransferItem DocumentFragment DocumentType ' +
    'DocumentTimeline ElementInternals FontFaceSet KeyframeEffect MutationRecord PermissionStatus Permissions CloseWatcher ' +
    'SpeechSynthesisUtterance ViewTransition WebKitMutationObserver WebKitCSSMatrix XPathEvaluator XPathResult XSLTProcessor ' +
    'Audio AudioBuffer AudioContext AudioNode MediaDevices MediaError MediaList MediaQueryList MediaRecorder MediaSource MediaStream ' +
    'MediaStreamTrack CanvasGradient CanvasPattern CanvasRenderingContext2D WebGLRenderingContext WebGL2RenderingContext ' +
    'CSSRule CSSStyleRule CSSStyleSheet CSSStyleDeclaration CSSMediaRule CSSImportRule CSSSupportsRule CSSKeyframesRule ' +
    'CSSFontFaceRule CSSUnitValue CSSNumericValue CSSStyleValue CSSAnimation CSSTransition DOMImplementation DOMMatrix DOMParser ' +
    'DOMPoint DOMQuad DOMRect DOMRectReadOnly DOMStringMap DOMTokenList XMLDocument XMLHttpRequest XMLSerializer IDBDatabase ' +
    'IDBFactory IDBKeyRange IDBRequest IDBTransaction RTCPeerConnection RTCDataChannel PerformanceEntry PerformanceObserver ' +
    'ReportingObserver IntersectionObserverEntry ResizeObserverEntry ScrollTimeline ViewTimeline AnimationEvent BeforeUnloadEvent ' +
    'ClipboardEvent CloseEvent CompositionEvent DragEvent ErrorEvent FormDataEvent HashChangeEvent InputEvent MessageEvent ' +
    'PageTransitionEvent PopStateEvent PromiseRejectionEvent ProgressEvent StorageEvent SubmitEvent TransitionEvent WheelEvent'
  ).split(' '),
);
/** Elements by their language, and numbers in a row: whole families whose names no library takes. */
const FAMILIES = /^(?:(?:HTML|SVG|MathML)[A-Z]?\w*Element|(?:Big)?(?:Int|Uint|Float)\d+(?:Clamped)?Array)$/;

const FUNCTIONS = new Set(
  (
    'alert atob btoa confirm createImageBitmap eval fetch find getSelection open close stop print postMessage prompt ' +
    'reportError structuredClone moveBy moveTo resizeBy resizeTo captureEvents releaseEvents'
  ).split(' '),
);
const OBJECTS = new Set(
  (
    'caches cookieStore crypto external indexedDB locationbar menubar navigation personalbar scheduler scrollbars ' +
    'speechSynthesis statusbar toolbar trustedTypes visualViewport'
  ).split(' '),
);

/** What kind of thing a global name of browsers stands for, of which no more is known; null for other names. */
export function browserName(name: string): 'class' | 'function' | 'object' | null {
  if (CLASSES.has(name) || FAMILIES.test(name)) return 'class';
  if (FUNCTIONS.has(name)) return 'function';
  return OBJECTS.has(name) ? 'object' : null;
}

/** What every element has and is not followed here. */
export const ELEMENT_NAMES: ReadonlySet<string> = new Set(
  (
    'align translate draggable spellcheck autocapitalize editContext contentEditable enterKeyHint isContentEditable inputMode ' +
    'outerText nonce attributeStyleMap prefix part computedStyleMap getAnimations getAttributeNode getHTML ' +
    'hasAttributes moveBefore removeAttributeNode requestFullscreen requestPointerLock setAttributeNode setHTMLUnsafe ' +
    'webkitRequestFullScreen webkitRequestFullscreen currentCSSZoom startViewTransition isDefaultNamespace lookupNamespaceURI ' +
    'lookupPrefix ariaControlsElements ariaDescribedByElements ariaLabelledByElements ariaActiveDescendantElement'
  ).split(' '),
);

/** What the document has beside that. */
export const DOCUMENT_NAMES: ReadonlySet<string> = new Set(
  (
    'implementation doctype timeline adoptedStyleSheets fullscreenElement pointerLockElement pictureInPictureElement evaluate ' +
    'adoptNode importNode caretPositionFromPoint caretRangeFromPoint createAttribute createExpression createNSResolver ' +
    'createProcessingInstruction exitPointerLock queryCommandEnabled queryCommandState queryCommandSupported ' +
    'queryCommandValue hasStorageAccess requestStorageAccess webkitCancelFullScreen webkitExitFullscreen embeds plugins anchors'
  ).split(' '),
);

/** Names that only other surroundings than browsers have: scripts ask for them to learn where they run. */
export const ELSEWHERE: ReadonlySet<string> = new Set([
  'exports',
  'module',
  'define',
  'require',
  'process',
  'global',
  'Deno',
  'Bun',
]);
