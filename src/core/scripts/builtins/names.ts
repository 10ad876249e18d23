/** Global names that browsers have and of which nothing more is known here: reading one is no error. */
export const BROWSER_NAMES: ReadonlySet<string> = new Set(
  (
    'AbortController AbortSignal Audio Blob BroadcastChannel DOMParser CanvasRenderingContext2D Crypto DOMException DOMRect DataView ' +
    'Date Element FileReader FontFace FormData Float32Array Float64Array Headers Image Int16Array Int32Array Int8Array Intl ' +
    'MessageChannel Notification Option PerformanceObserver Proxy ReadableStream Reflect Request Response ' +
    'SVGElement ServiceWorker SharedWorker TextDecoder TextEncoder URL URLSearchParams Uint16Array Uint32Array Uint8Array ' +
    'WebSocket Worker XMLHttpRequest XMLSerializer alert atob btoa caches confirm cookieStore crypto eval fetch ' +
    'indexedDB performance prompt open close print postMessage structuredClone visualViewport speechSynthesis trustedTypes ' +
    'HTMLHeadingElement HTMLImageElement HTMLFormElement HTMLSelectElement HTMLTemplateElement HTMLVideoElement HTMLTableElement ' +
    'globalThis BigInt ArrayBuffer WebAssembly FinalizationRegistry Range Selection StyleSheet CSSStyleSheet ' +
    'NodeFilter TreeWalker MutationRecord ClipboardItem OffscreenCanvas ImageData Path2D VisualViewport scheduler'
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
