/** Templates of the report page, for eta: what stands in \`<%= %>\` is escaped, \`<%~ %>\` takes markup of our own. */
export const PAGE = `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="<%= it.policy %>">
<meta name="referrer" content="no-referrer">
<title><%= it.title %></title>
<style><%~ it.style %></style>
</head>
<body>
<a class="skip" href="#content">Skip to the content</a>
<header><div class="wrap">
<h1><%= it.title %></h1>
<p class="soft"><%= it.scope %></p>
<nav class="ways" aria-label="Parts of this report"><ul>
<% for (const [id, name] of it.parts) { %><li><a href="#<%= id %>"><%= name %></a></li>
<% } %></ul></nav>
</div></header>
<main id="content" tabindex="-1"><div class="wrap">
<section aria-labelledby="summary"><h2 id="summary">Summary</h2>
<p><%= it.opening %></p>
<ul class="counts">
<% for (const count of it.counts) { %><li class="<%= count.word %>"><strong><%= count.count %></strong><span><%= count.title %></span></li>
<% } %></ul>
<% if (it.first.length > 0) { %><h3>Where to begin</h3>
<ol><% for (const one of it.first) { %><li><a href="#f<%= one.number %>"><%= one.check %></a>: <%= one.says %></li>
<% } %></ol><% } %>
<% if (it.people.length > 0) { %><h3>Who meets it</h3>
<ul><% for (const one of it.people) { %><li><%= one.who %>: <%= one.count %></li>
<% } %></ul><% } %>
</section>
<% if (it.chart) { %><section aria-labelledby="ladder"><h2 id="ladder">From the narrowest screen to the widest</h2>
<p>Widths of the screen run along the top. The bands show which form each menu takes, the bars at which widths each finding holds; a broken outline asks for a person’s judgement.<% if (it.charted) { %> The bands are those of <%= it.charted %>.<% } %><% if (it.uncharted) { %> The last <%= it.uncharted %> findings stand in the table below only.<% } %></p>
<div class="strip" role="region" aria-label="Chart of widths" tabindex="0"><%~ it.chart %></div>
<details><summary>The chart as a table</summary><table><thead><tr><th scope="col">No.</th><th scope="col">Check</th><th scope="col">Weight</th><th scope="col">Widths</th></tr></thead><tbody>
<% for (const f of it.findings) { %><tr><td><a href="#f<%= f.number %>"><%= f.number %></a></td><td><%= f.check %></td><td><%= f.weight %></td><td><%= f.widths %></td></tr>
<% } %></tbody></table></details>
</section><% } %>
<section aria-labelledby="findings"><h2 id="findings">Findings</h2>
<% if (it.findings.length === 0) { %><p><%= it.none %></p><% } else { %>
<form hidden aria-label="Filter the findings">
<% for (const filter of it.filters) { %><label><%= filter.label %><select data-filter="<%= filter.name %>"><option value="">all</option><% for (const value of filter.values) { %><option><%= value %></option><% } %></select></label>
<% } %><p role="status" id="told"></p>
</form><% } %>
<% for (const f of it.findings) { %><%~ include('@finding', f) %><% } %>
<% if (it.accepted.length > 0) { %><details><summary>Accepted: <%= it.accepted.length %></summary><ul>
<% for (const one of it.accepted) { %><li><strong><%= one.check %></strong> on <%= one.page %>: <%= one.says %> Accepted because: <%= one.reason %><% if (one.until) { %> (until <%= one.until %>)<% } %></li>
<% } %></ul></details><% } %>
</section>
<section aria-labelledby="pages"><h2 id="pages"><%= it.pages.length === 1 ? 'The page' : 'The pages' %></h2>
<% if (it.slider) { %><form hidden aria-label="Width of the screen"><label for="width">Show pictures and findings at</label><input type="range" id="width" min="<%= it.slider.from %>" max="<%= it.slider.to %>" value="<%= it.slider.at %>"><output id="width-shown" for="width">every width</output><label><input type="checkbox" id="every-width" checked> every width</label></form><% } %>
<% for (const page of it.pages) { %><%~ include('@page', page) %><% } %>
<% if (it.bare.length > 0) { %><h3>Pages without pictures here</h3><p>Pictures are shown for the first <%= it.pages.length %> pages. Audited as well:</p><ul><% for (const one of it.bare) { %><li><%= one %></li><% } %></ul><% } %>
</section>
<section aria-labelledby="looked"><h2 id="looked">What was looked at, and what was not</h2>
<% for (const line of it.looked) { %><p><%= line %></p>
<% } %>
<% if (it.limits.length > 0) { %><h3>Not taken into account</h3><ul><% for (const line of it.limits) { %><li><%= line %></li>
<% } %></ul><% } %>
</section>
</div></main>
<footer><div class="wrap"><%= it.foot %></div></footer>
<script><%~ it.script %></script>
</body>
</html>
`;

export const FINDING = `<article id="f<%= it.number %>" class="<%= it.weight %>" data-check="<%= it.check %>" data-weight="<%= it.weight %>" data-page="<%= it.pages.join(' | ') %>" data-criterion="<%= it.criteria.join(' | ') %>" data-widths="<%= it.ranges %>">
<h3><%= it.number %>. <%= it.title %></h3>
<p class="meta"><span class="tag <%= it.weight %>"><%= it.weightText %></span> <%= it.check %> · <%= it.widths %><% if (it.states) { %> · <%= it.states %><% } %><% if (it.criteria.length > 0) { %> · <%= it.criteria.join(', ') %><% } %></p>
<% if (it.rest) { %><p><%= it.rest %></p><% } %>
<p class="meta">The rule: <%= it.rule %>. Affects <%= it.people %>.<% if (it.measured) { %> Measured <%= it.measured %><% if (it.needed) { %>, needed <%= it.needed %><% } %>.<% } %><% if (it.poses) { %> Seen <%= it.poses %>.<% } %></p>
<% for (const one of it.excerpts) { %><p class="file"><%= one.file %>:<%= one.line %></p>
<pre><% one.lines.forEach((text, i) => { %><% if (one.first + i === one.line) { %><b><%= text || ' ' %></b><% } else { %><span><%= text || ' ' %></span><% } %><% }) %></pre>
<% } %><% if (it.decided) { %><p class="file">decided by <%= it.decided %></p><% } %>
<% if (it.places.length > 1) { %><details><summary><%= it.places.length %> places</summary><ul><% for (const place of it.places) { %><li><%= place.label %> <span class="file"><%= place.where %></span></li><% } %></ul></details><% } else { %><p class="file"><%= it.places[0].where %></p><% } %>
<% if (it.pages.length > 0) { %><p class="meta">On <%= it.onPages %><% for (const picture of it.pictures) { %> · <a href="#<%= picture.id %>"><%= picture.text %></a><% } %></p><% } %>
<p class="mend"><strong>What mends it:</strong> <%= it.mends %></p>
</article>
`;

export const SUBPAGE = `<section aria-labelledby="<%= it.id %>"><h3 id="<%= it.id %>"><%= it.name %></h3>
<table><thead><tr><th scope="col">Menu</th><th scope="col">Kind</th><th scope="col">Items</th><th scope="col">Toggle</th></tr></thead><tbody>
<% for (const menu of it.menus) { %><tr><td><%= menu.label %></td><td><%= menu.kind %></td><td><%= menu.items %></td><td><%= menu.toggles %></td></tr><% } %>
</tbody></table>
<h4>Pictures</h4>
<div class="pictures"><% for (const picture of it.pictures) { %>
<figure id="<%= picture.id %>" data-widths="<%= picture.range %>"><figcaption><strong><%= picture.title %></strong><br><%= picture.note %></figcaption>
<%~ picture.svg %></figure><% } %></div>
<% for (const walk of it.walks) { %><details><summary>The keyboard’s way at <%= walk.width %> px: <%= walk.stops.length %> stops</summary><ol class="walk"><% for (const stop of walk.stops) { %><li><%= stop.text %><% for (const fault of stop.faults) { %> <span class="bad"><%= fault %></span><% } %></li><% } %></ol></details><% } %>
<% if (it.links.rows.length > 0) { %><details><summary>Where the menus lead: <%= it.links.rows.length %> destinations</summary><div class="strip" role="region" aria-label="Destinations of <%= it.name %>" tabindex="0"><table><thead><tr><% for (const head of it.links.heads) { %><th scope="col"><%= head %></th><% } %></tr></thead><tbody>
<% for (const row of it.links.rows) { %><tr><% for (const cell of row) { %><td<% if (cell.bad) { %> class="bad"<% } %>><%= cell.text %></td><% } %></tr><% } %></tbody></table></div></details><% } %>
</section>
`;
