/** Selects that show several rows, and those that drop down. @spec html §15.5.15 */
const SEVERAL_ROWS = '[multiple]:not([size="1"]), [size]:not([size=""], [size="0"], [size="1"])';
const LIST_BOX = `select:is(${SEVERAL_ROWS})`;
const DROP_DOWN = `select:not(${SEVERAL_ROWS})`;

/**
 * What a browser shows without any author sheet, after the HTML standard's rendering section and the defaults
 * of form controls in current desktop browsers.
 * @spec html §15.3, §15.5
 */
export const USER_AGENT_SHEET = `
html, body, address, blockquote, center, dialog, div, dd, dl, dt, fieldset, figcaption, figure, footer, form, header,
hgroup, hr, legend, main, nav, article, aside, section, search, p, pre, h1, h2, h3, h4, h5, h6, ul, ol, dir, menu,
summary, details, optgroup, option, listing, xmp, plaintext { display: block }
details::details-content { display: block; content-visibility: hidden }
details[open]::details-content { content-visibility: visible }
area, base, basefont, datalist, head, link, meta, noembed, noframes, param, rp, script, style, template, title
  { display: none }
input[type=hidden i] { display: none !important }
embed:not([src], [type]) { display: none }
embed[hidden] { display: inline; height: 0; width: 0 }
[hidden]:not([hidden=until-found i]) { display: none }
slot { display: contents }
html { color: canvastext }
body { margin: 8px }
a:link { color: -webkit-link; text-decoration: underline }
:link { cursor: pointer }
a:link:active { color: activetext }
:focus-visible { outline: auto 1px -webkit-focus-ring-color }
address, cite, dfn, em, i, var { font-style: italic }
b, strong { font-weight: bolder }
code, kbd, samp, tt, pre, listing, xmp, plaintext { font-family: monospace }
small { font-size: smaller }
big { font-size: larger }
sub { vertical-align: sub; font-size: smaller }
sup { vertical-align: super; font-size: smaller }
mark { background-color: mark; color: marktext }
abbr[title], acronym[title] { text-decoration: dotted underline }
ins, u { text-decoration: underline }
del, s, strike { text-decoration: line-through }
nobr { white-space: nowrap }
marquee { display: inline-block; width: -webkit-fill-available; overflow: hidden; text-align: initial;
  white-space: nowrap }
marquee:is([direction=up i], [direction=down i]) { white-space: initial }
blink { text-decoration: blink }
q::before { content: open-quote }
q::after { content: close-quote }
ruby { display: ruby }
rt { display: ruby-text; font-size: 50% }
address, blockquote, center, dialog, div, figure, figcaption, footer, form, header, hr, legend, listing, main, p,
plaintext, pre, search, xmp, article, aside, h1, h2, h3, h4, h5, h6, hgroup, nav, section, table, caption, colgroup, col,
thead, tbody, tfoot, tr, td, th, dir, dd, dl, dt, menu, ol, ul, li, bdi, output, [dir=ltr i], [dir=rtl i], [dir=auto i]
  { unicode-bidi: isolate }
bdo, bdo[dir] { unicode-bidi: isolate-override }
textarea[dir=auto i], pre[dir=auto i] { unicode-bidi: plaintext }
[dir=rtl i], [dir=auto i]:dir(rtl), bdi:dir(rtl) { direction: rtl }
[dir=ltr i], [dir=auto i]:dir(ltr), bdi:dir(ltr) { direction: ltr }
blockquote, figure, listing, p, plaintext, pre, xmp { margin-block: 1em }
blockquote, figure { margin-inline: 40px }
address { font-style: italic }
listing, plaintext, pre, xmp { white-space: pre }
dialog:not(:open) { display: none }
dialog { position: absolute; inset-inline: 0; width: fit-content; height: fit-content; margin: auto; border: solid;
  padding: 1em; background-color: canvas; color: canvastext }
dialog:modal { position: fixed; overflow: auto; inset-block: 0; max-width: calc(100% - 6px - 2em);
  max-height: calc(100% - 6px - 2em) }
[popover]:not(:popover-open):not(dialog:open) { display: none }
dialog:modal, [popover]:popover-open { overlay: auto !important }
dialog::backdrop, [popover]::backdrop { display: block; position: fixed; inset: 0; overlay: auto !important }
dialog:modal::backdrop { background: rgba(0, 0, 0, 0.1) }
[popover]::backdrop { pointer-events: none !important; background-color: transparent }
[inert] { interactivity: inert }
dialog:modal { interactivity: auto }
dialog:popover-open { display: block }
[popover] { position: fixed; inset: 0; width: fit-content; height: fit-content; margin: auto; border: solid;
  padding: 0.25em; overflow: auto; color: canvastext; background-color: canvas }
center { text-align: -webkit-center }
h1 { font-size: 2em; margin-block: 0.67em; font-weight: bold }
h2 { font-size: 1.5em; margin-block: 0.83em; font-weight: bold }
h3 { font-size: 1.17em; margin-block: 1em; font-weight: bold }
h4 { margin-block: 1.33em; font-weight: bold }
h5 { font-size: 0.83em; margin-block: 1.67em; font-weight: bold }
h6 { font-size: 0.67em; margin-block: 2.33em; font-weight: bold }
dd { margin-inline-start: 40px }
dl { margin-block: 1em }
dir, dl, menu, ol, ul { margin-block: 1em }
:is(dir, dl, menu, ol, ul) :is(dir, dl, menu, ol, ul) { margin-block: 0 }
dir, menu, ol, ul { padding-inline-start: 40px }
ol, ul, menu, dir { list-style-type: decimal }
dir, menu, ul { list-style-type: disc }
:is(dir, menu, ol, ul) :is(dir, menu, ul) { list-style-type: circle }
:is(dir, menu, ol, ul) :is(dir, menu, ol, ul) :is(dir, menu, ul) { list-style-type: square }
li { display: list-item; text-align: match-parent }
table { display: table; box-sizing: border-box; border-spacing: 2px; border-collapse: separate; text-indent: initial }
caption { display: table-caption; text-align: -webkit-center }
colgroup { display: table-column-group }
colgroup[hidden], col[hidden], thead[hidden], tbody[hidden], tfoot[hidden], tr[hidden] { display: none }
col { display: table-column }
thead { display: table-header-group; vertical-align: middle; border-color: inherit }
tbody { display: table-row-group; vertical-align: middle; border-color: inherit }
tfoot { display: table-footer-group; vertical-align: middle; border-color: inherit }
table > tr { vertical-align: middle }
tr { display: table-row; vertical-align: inherit; border-color: inherit }
td, th { display: table-cell; vertical-align: inherit; padding: 1px }
th { font-weight: bold; text-align: center }
input, select, button, textarea { letter-spacing: initial; word-spacing: initial; line-height: initial;
  text-transform: initial; text-indent: initial; text-shadow: initial; text-align: initial; display: inline-block;
  font: 400 calc(40px / 3) sans-serif; margin: 0 }
input, textarea, select, button, meter, progress { appearance: auto }
input:is([type=file i], [type=hidden i], [type=image i]) { appearance: none }
input, textarea, select { color: fieldtext; background-color: field; cursor: text }
input { border: 2px inset light-dark(#767676, #858585); padding-block: 1px; padding-inline: 2px; overflow: clip }
input:not([type=file i], [type=checkbox i], [type=radio i], [type=range i]) { overflow: clip !important }
input:is([type=date i], [type=time i], [type=month i], [type=week i], [type=datetime-local i]) {
  font-family: monospace; padding: 0; padding-inline-start: 1px }
input[type=hidden i] { background-color: initial; cursor: default; border: initial; padding: initial }
textarea { border: 1px solid #767676; padding: 2px; white-space: pre-wrap; font-family: monospace; overflow: auto;
  overflow-wrap: break-word }
select { border: 1px solid #767676; cursor: default; white-space: pre; align-items: center;
  background-color: buttonface }
${DROP_DOWN} { overflow: clip !important }
${DROP_DOWN} optgroup { white-space: normal }
input, select { box-sizing: content-box }
input[type=search i], select, button, input:is([type=button i], [type=submit i], [type=reset i], [type=color i])
  { box-sizing: border-box }
input:is([type=button i], [type=submit i], [type=reset i], [type=color i], [type=file i], [type=checkbox i],
  [type=radio i], [type=range i], [type=image i], [type=date i], [type=time i], [type=month i], [type=week i],
  [type=datetime-local i]) { cursor: default }
button, input:is([type=button i], [type=submit i], [type=reset i]) { text-align: center;
  cursor: default; padding-block: 1px; padding-inline: 6px; border: 2px outset buttonborder; color: buttontext;
  background-color: buttonface; white-space: nowrap }
input:is([type=button i], [type=submit i], [type=reset i]) { white-space: pre }
button { white-space: normal; white-space: inherit }
input:is([type=checkbox i], [type=radio i]) { margin: 3px 3px 3px 4px; padding: 0; border: none;
  box-sizing: border-box; overflow: visible }
input[type=radio i] { margin: 3px 3px 0 5px }
input[type=checkbox i], input[type=radio i] { background-color: initial }
input[type=range i] { margin: 2px; padding: 0; border: none; overflow: visible; background-color: white;
  color: rgb(157, 150, 142) }
input[type=color i] { inline-size: 50px; block-size: 27px; padding-block: 1px; padding-inline: 2px;
  border: 1px solid buttonborder; background-color: buttonface }
input[type=file i] { color: inherit; padding: 0; border: none; background-color: initial; overflow: clip; text-overflow: ellipsis;
  white-space: pre; text-align: start; align-items: baseline }
input[type=image i] { padding: 0; border: none; background-color: initial; cursor: pointer }
button:disabled, input:disabled, select:disabled, textarea:disabled { cursor: default }
input:disabled, textarea:disabled { color: rgb(84, 84, 84); background-color: rgba(239, 239, 239, 0.3);
  border-color: rgba(118, 118, 118, 0.3) }
button:disabled, input:is([type=button i], [type=submit i], [type=reset i], [type=color i]):disabled {
  color: rgba(16, 16, 16, 0.3); background-color: rgba(239, 239, 239, 0.3); border-color: rgba(118, 118, 118, 0.3) }
input:is([type=checkbox i], [type=radio i], [type=file i], [type=range i], [type=image i], [type=hidden i]):disabled {
  background-color: initial }
input:is([type=checkbox i], [type=radio i]):disabled { border-color: initial }
input[type=range i]:disabled { color: rgb(197, 197, 197) }
select:disabled { opacity: 0.7; color: graytext; border-color: rgba(118, 118, 118, 0.3) }
optgroup:disabled { color: graytext }
${LIST_BOX} option:checked {
  background-color: rgb(206, 206, 206); color: rgb(16, 16, 16) }
${LIST_BOX} option:disabled, ${LIST_BOX}:disabled option { color: graytext }
option { font-weight: normal; padding-block: 0 1px; padding-inline: 2px; white-space: nowrap;
  min-block-size: 1.2em }
${DROP_DOWN} option { align-items: center;
  min-inline-size: 24px; min-block-size: max(24px, 1.2em) }
optgroup { font-weight: bolder }
${LIST_BOX} :is(option, optgroup) { line-height: normal !important }
${LIST_BOX} { overflow: hidden scroll;
  white-space: nowrap; align-items: flex-start; background-color: field; border-radius: 2px;
  vertical-align: text-bottom }
${LIST_BOX} optgroup option {
  padding-inline-start: 20px }
input[type=range i]::-webkit-slider-runnable-track, input[type=range i]::-webkit-slider-thumb { box-sizing: border-box;
  appearance: auto }
input:is([type=date i], [type=time i], [type=month i], [type=week i], [type=datetime-local i]) {
  &::-webkit-datetime-edit-fields-wrapper { padding-block: 1px }
  &::-webkit-calendar-picker-indicator { width: 1em; height: 1em; padding: 2px }
}
input[type=time i]::-webkit-calendar-picker-indicator { width: 1.05em; height: 1.05em; padding: 3px;
  margin-inline-start: 8px }
input[type=number i]::-webkit-inner-spin-button { appearance: auto }
input[type=file i]::file-selector-button { appearance: auto; margin-inline-end: 4px; border: 2px outset buttonborder;
  padding-block: 1px; padding-inline: 6px; line-height: normal; box-sizing: border-box }
progress { display: inline-block; block-size: 1em; inline-size: 10em; vertical-align: -0.2em; box-sizing: border-box }
meter { display: inline-block; block-size: 1em; inline-size: 5em; vertical-align: -0.2em; box-sizing: border-box }
hr { color: gray; border: 1px inset; margin-block: 0.5em; margin-inline: auto; overflow: hidden;
  unicode-bidi: isolate; box-sizing: content-box }
fieldset { margin-inline: 2px; border: 2px groove threedface; padding-block: 0.35em 0.625em;
  padding-inline: 0.75em; min-inline-size: min-content }
legend { padding-inline: 2px }
iframe { border: 2px inset }
iframe, video, canvas, object, embed { overflow: clip }
iframe { box-sizing: content-box }
img, video, canvas { overflow: clip }
img:is([sizes="auto" i], [sizes^="auto," i]) { contain: size !important; contain-intrinsic-size: 300px 150px }
video, canvas { object-fit: contain; width: auto }
audio:not([controls]) { display: none }
audio { width: 300px; height: 54px }
details > summary:first-of-type { display: list-item; list-style: disclosure-closed inside }
details[open] > summary:first-of-type { list-style-type: disclosure-open }
rp { display: none }
label { cursor: default }
`;

/** The same for SVG elements. @spec svg-2 appendix "User agent style sheet" */
export const SVG_SHEET = `
svg { overflow: hidden }
image, symbol, marker, pattern, foreignObject { overflow: hidden }
text, foreignObject { display: block }
text { white-space: nowrap }
style, script, template { display: none }
a:any-link { cursor: pointer }
:not(svg), svg svg { transform-origin: 0 0 }
`;

/** @spec html §15.3.10, §15.3.5, §15.4.3 (quirks) */
export const QUIRKS_SHEET = `
form { margin-block: 0 1em }
table { font-weight: initial; font-style: initial; font-variant-caps: initial; font-size: initial;
  line-height: initial; white-space: initial; text-align: initial; color: -body-text }
input:not([type=image i]), textarea { box-sizing: border-box }
img[align=left i] { margin-right: 3px }
img[align=right i] { margin-left: 3px }
`;
