/** The report's own style sheet: one column of reading, light and dark, from 320 px to wide, and on paper. */
export const STYLE = `
:root { color-scheme: light dark; --ground: #fbfaf6; --raised: #ffffff; --ink: #1b2a33; --soft: #4c5d67; --line: #c9d1d4; --link: #0b5c7a; --mark: #fff0c2; --blocks: #a61e2e; --hinders: #8a5200; --polish: #5a4b9c; --look: #1d6b4f; --form: #cfe1e8; }
@media (prefers-color-scheme: dark) { :root { --ground: #10191e; --raised: #18242b; --ink: #e8eef0; --soft: #a9bac2; --line: #3b4b54; --link: #7cc8e6; --mark: #4a3d10; --blocks: #ff8a94; --hinders: #f2b35a; --polish: #b9adff; --look: #79d6ae; --form: #28424e; } }
*, *::before, *::after { box-sizing: border-box; }
html { scroll-padding-top: 16px; }
body { margin: 0; background: var(--ground); color: var(--ink); font: 16px/1.55 system-ui, "Segoe UI", Arial, sans-serif; overflow-wrap: anywhere; }
.wrap { max-width: 1080px; margin: 0 auto; padding: 0 20px; }
header { border-bottom: 1px solid var(--line); background: var(--raised); }
header .wrap { padding-top: 28px; padding-bottom: 20px; }
h1 { font-size: 30px; line-height: 1.2; margin: 0 0 6px; }
h2 { font-size: 23px; line-height: 1.25; margin: 44px 0 12px; }
h3 { font-size: 18px; line-height: 1.35; margin: 28px 0 8px; }
p { margin: 0 0 12px; max-width: 75ch; }
.soft { color: var(--soft); }
a { color: var(--link); text-underline-offset: 3px; }
a:focus-visible, summary:focus-visible, select:focus-visible, input:focus-visible, button:focus-visible, [tabindex]:focus-visible { outline: 3px solid var(--link); outline-offset: 2px; border-radius: 2px; }
.skip { position: absolute; left: 8px; top: 8px; padding: 10px 14px; background: var(--raised); border: 2px solid var(--link); }
.skip:not(:focus) { clip-path: inset(50%); width: 1px; height: 1px; overflow: hidden; padding: 0; border: 0; white-space: nowrap; }
.ways ul { display: flex; flex-wrap: wrap; gap: 4px 20px; list-style: none; margin: 14px 0 0; padding: 0; }
.ways a { display: inline-block; min-height: 32px; padding: 4px 0; }
.counts { display: flex; flex-wrap: wrap; gap: 12px; list-style: none; padding: 0; margin: 16px 0; }
.counts li { border: 1px solid var(--line); border-left: 6px solid; border-radius: 4px; background: var(--raised); padding: 10px 16px; min-width: 150px; }
.counts strong { display: block; font-size: 28px; line-height: 1.15; }
.counts span { color: var(--ink); }
.blocks { color: var(--blocks); } .hinders { color: var(--hinders); } .polish { color: var(--polish); } .look { color: var(--look); }
.strip { overflow-x: auto; border: 1px solid var(--line); border-radius: 4px; background: var(--raised); padding: 10px; }
.chart { display: block; min-width: 720px; width: 100%; height: auto; font: 13px system-ui, Arial, sans-serif; }
.chart text { fill: var(--ink); } .chart .tick { fill: var(--soft); } .chart .grid { stroke: var(--line); stroke-dasharray: 2 4; }
.chart .form { fill: var(--form); } .chart .form.gone { fill: none; stroke: var(--line); stroke-dasharray: 4 3; } .chart .form-text { font-size: 12px; }
.chart .hit { fill: transparent; } .chart a:hover .label, .chart a:focus .label { text-decoration: underline; }
.chart .bar.blocks { fill: var(--blocks); } .chart .bar.hinders { fill: var(--hinders); } .chart .bar.polish { fill: var(--polish); } .chart .bar.look { fill: none; stroke: var(--look); stroke-width: 2; stroke-dasharray: 5 3; }
article { border: 1px solid var(--line); border-left: 6px solid; border-radius: 4px; background: var(--raised); padding: 14px 18px; margin: 0 0 16px; }
article > * { color: var(--ink); }
article h3 { margin: 0 0 4px; }
.tag { display: inline-block; font-weight: 700; margin-right: 6px; }
article p { margin: 0 0 8px; }
.meta { color: var(--soft); font-size: 14px; }
.mend { border-top: 1px solid var(--line); padding-top: 8px; margin-top: 10px; }
pre { margin: 8px 0; padding: 8px 0; overflow-x: auto; border: 1px solid var(--line); border-radius: 4px; background: var(--ground); font: 13px/1.5 ui-monospace, Consolas, monospace; tab-size: 2; }
pre span { display: block; padding: 0 12px; white-space: pre; } pre b { display: block; padding: 0 12px; white-space: pre; background: var(--mark); font-weight: 600; }
.file { font: 13px ui-monospace, Consolas, monospace; color: var(--soft); }
table { border-collapse: collapse; width: 100%; font-size: 14px; } th, td { text-align: left; vertical-align: top; padding: 6px 10px 6px 0; border-bottom: 1px solid var(--line); overflow-wrap: normal; } th { font-weight: 600; white-space: nowrap; }
.bad { color: var(--blocks); font-weight: 600; }
.pictures { display: grid; grid-template-columns: repeat(auto-fit, minmax(min(100%, 460px), 1fr)); gap: 22px; align-items: start; }
figure { margin: 0; min-width: 0; } figcaption { font-size: 14px; margin-bottom: 6px; }
figure svg { display: block; max-width: 100%; height: auto; border: 1px solid var(--line); background: #fff; }
.pin rect.box { fill: transparent; stroke: #b01030; stroke-width: 1.5; } .pin .flag { fill: #b01030; } .pin text { fill: #fff; font: 700 10px Arial, sans-serif; } .pin:focus rect.box, .pin:hover rect.box { stroke-width: 4; }
form { display: flex; flex-wrap: wrap; gap: 12px 18px; align-items: end; border: 1px solid var(--line); border-radius: 4px; background: var(--raised); padding: 12px 16px; margin: 0 0 18px; }
form label { display: block; font-size: 14px; font-weight: 600; } select, input[type=range] { display: block; font: inherit; min-height: 36px; max-width: 100%; margin-top: 4px; } select { padding: 4px 8px; color: var(--ink); background: var(--ground); border: 1px solid var(--soft); border-radius: 3px; }
input[type=range] { width: min(420px, 80vw); accent-color: var(--link); }
output { font-weight: 700; }
ol.walk { padding-left: 34px; } ol.walk li { margin-bottom: 3px; }
details { margin: 12px 0; } summary { cursor: pointer; padding: 6px 0; min-height: 32px; font-weight: 600; }
footer { margin-top: 60px; border-top: 1px solid var(--line); padding: 18px 0 40px; color: var(--soft); font-size: 14px; }
[hidden] { display: none !important; }
@media (max-width: 480px) { h1 { font-size: 25px; } .wrap { padding: 0 14px; } .counts li { min-width: 0; flex: 1 1 130px; } }
@media print { :root { --ground: #fff; --raised: #fff; --ink: #000; --soft: #333; --line: #999; --link: #000; --mark: #eee; --form: #ddd; --blocks: #8c1020; --hinders: #6b3f00; --polish: #443680; --look: #124f38; } .ways, .skip, form { display: none; } body { font-size: 10pt; line-height: 1.4; } h2 { margin-top: 24px; } figure, pre { break-inside: avoid; } article { padding: 8px 12px; margin-bottom: 10px; } h2, h3, .file { break-after: avoid; } .mend { break-before: avoid; } pre { font-size: 8pt; } figure svg { max-height: 220mm; } .strip, pre { overflow: visible; } pre span, pre b { white-space: pre-wrap; } .chart { min-width: 0; max-height: 235mm; } }
`.trim();
