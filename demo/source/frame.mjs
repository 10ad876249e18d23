/** What every page of the site shares: head, utility bar, header with the main menu, footer, bottom bar on phones. */

const islands = [
  ['islands.html#sula', 'Sula Rock'],
  ['islands.html#marrow', 'Marrow Island'],
  ['islands.html#tern', 'Tern Skerries'],
  ['islands.html#kelp', 'Kelp Holm'],
];
const travel = [
  ['fares.html', 'Fares and passes'],
  ['fares.html#vehicles', 'Cars, bikes and trailers'],
  ['fares.html#groups', 'Groups and schools'],
  ['contact.html#access', 'Step-free travel'],
];

const indent = (text, by) => text.split('\n').map((line) => ' '.repeat(by) + line).join('\n');
const current = (page, slug) => (page.slug === slug ? ' aria-current="page"' : '');

export function head(page, edition) {
  const zoom = edition === 'launched' ? ', maximum-scale=1, user-scalable=no' : '';
  return `<head>
  <meta charset="utf-8">
  <title>${page.title} · Tidewrack Island Ferries</title>
  <meta name="viewport" content="width=device-width, initial-scale=1${zoom}">
  <meta name="description" content="${page.description}">
  <link rel="stylesheet" href="css/base.css">
  <link rel="stylesheet" href="css/header.css">
  <link rel="stylesheet" href="css/sections.css">
  <link rel="stylesheet" href="css/footer.css">
  <style>
    .page-${page.slug} .hero { --hero-tint: ${page.tint}; }
  </style>
</head>`;
}

function item(page, [href, label], edition, extra = '') {
  const slug = href.replace('.html', '');
  const mark = edition === 'launched' ? '' : current(page, slug);
  const here = page.slug === slug ? ' is-current' : '';
  return `<li class="site-menu__item${here}"><a class="site-menu__link" href="${href}"${mark}>${label}</a>${extra}</li>`;
}

function submenu(id, label, links, edition) {
  const list = links.map(([href, text]) => `    <li><a href="${href}">${text}</a></li>`).join('\n');
  if (edition === 'launched') {
    return `<li class="site-menu__item has-panel">
  <a class="site-menu__link" href="#">${label}</a>
  <ul class="site-menu__panel">
${list}
  </ul>
</li>`;
  }
  return `<li class="site-menu__item has-panel">
  <button class="site-menu__link" type="button" aria-expanded="false" aria-controls="${id}">${label}<span class="caret" aria-hidden="true"></span></button>
  <ul class="site-menu__panel" id="${id}">
${list}
  </ul>
</li>`;
}

/** The first two service links; on one page of the launched edition they stand the other way round. */
const service = (page, edition) => {
  const links = ['<li><a href="contact.html">Contact</a></li>', '<li><a href="timetable.html#notices">Notices</a></li>'];
  return (edition === 'launched' && page.slug === 'islands' ? links.reverse() : links).join('\n        ');
};

export function header(page, edition) {
  const launched = edition === 'launched';
  const toggle = launched
    ? '<div class="menu-toggle" onclick="toggleMenu()"><span></span><span></span><span></span></div>'
    : '<button class="menu-toggle" type="button" aria-expanded="false" aria-controls="site-menu" aria-label="Menu"><span></span><span></span><span></span></button>';
  const book = launched
    ? `<li class="site-menu__item"><a class="site-menu__cta" onclick="location.href='fares.html#book'">Book a crossing</a></li>`
    : '<li class="site-menu__item"><a class="site-menu__cta" href="fares.html#book">Book a crossing</a></li>';
  const offers = launched ? '<li><a href="javascript:showOffers()">Offers</a></li>' : '<li><a href="fares.html#offers">Offers</a></li>';
  const skip = launched ? '' : '<a class="skip-link" href="#content">Skip to the content</a>\n';
  return `${skip}<div class="utility-bar">
  <div class="wrap">
    <p class="utility-bar__note">Sailings today: all on time</p>
    <nav class="utility-nav"${launched ? '' : ' aria-label="Service"'}>
      <ul>
        ${service(page, edition)}
        ${offers}
        <li><a href="contact.html#access">Access</a></li>
      </ul>
    </nav>
  </div>
</div>
<header class="site-header">
  <div class="wrap site-header__row">
    <a class="site-logo" href="index.html"><img src="img/logo.svg" alt="Tidewrack Island Ferries" width="148" height="40"></a>
    ${toggle}
    <nav class="site-nav" id="site-menu"${launched ? '' : ' aria-label="Main"'}>
      <ul class="site-menu">
${indent(item(page, ['index.html', 'Home'], edition), 8)}
${indent(item(page, ['timetable.html', 'Timetable'], edition), 8)}
${indent(submenu('panel-islands', 'Islands', islands, edition), 8)}
${indent(submenu('panel-travel', 'Plan your trip', travel, edition), 8)}
${indent(item(page, ['fares.html', 'Fares'], edition), 8)}
${indent(item(page, ['contact.html', 'Contact'], edition), 8)}
${indent(book, 8)}
      </ul>
    </nav>
  </div>
</header>`;
}

export function footer(page, edition) {
  const launched = edition === 'launched';
  const column = (title, links) => `    <div class="footer-column">
      <h2>${title}</h2>
      <ul>
${links.map(([href, text, more = '']) => `        <li><a href="${href}"${more}>${text}</a></li>`).join('\n')}
      </ul>
    </div>`;
  return `<footer class="site-footer">
  <nav class="wrap footer-nav"${launched ? '' : ' aria-label="Footer"'}>
${column('Islands', islands)}
${column('Travel', travel)}
${column('Company', [
  ['contact.html', 'Talk to us'],
  ['contact.html#crew', 'Work on board', launched ? ' rel="nofollow"' : ''],
  ['contact.html#history', launched ? 'More' : 'Our boats since 1931'],
  [launched && page.slug === 'fares' ? 'notices.html' : 'timetable.html#notices', 'Service notices'],
])}
  </nav>
  <div class="wrap site-footer__base">
    <p>Tidewrack Island Ferries, Pier Street 1, Port Averley</p>
    <p class="fine-print">Made-up company for the Rope Ladder demo.</p>
  </div>
</footer>`;
}

export function mobileBar(page, edition) {
  const launched = edition === 'launched';
  const entries = [
    ['index.html', 'Home', 'M3 10 L12 3 L21 10 V21 H3 Z'],
    ['timetable.html', 'Times', 'M12 3 A9 9 0 1 0 12.01 3 M12 7 V12 L16 14'],
    ['fares.html', launched && page.slug === 'timetable' ? 'Prices' : 'Fares', 'M3 7 H21 V17 H3 Z M8 7 V17'],
    ['contact.html', 'Contact', 'M3 5 H21 V17 H9 L5 21 V17 H3 Z'],
  ];
  return `<nav class="bottom-nav"${launched ? '' : ' aria-label="Quick links"'}>
  <ul>
${entries
  .map(([href, label, path]) => {
    const here = page.slug === href.replace('.html', '');
    return `    <li><a href="${href}"${here ? ' class="is-active"' : ''}${!launched && here ? ' aria-current="page"' : ''}><svg viewBox="0 0 24 24" width="22" height="22" aria-hidden="true"><path d="${path}"/></svg><span>${label}</span></a></li>`;
  })
  .join('\n')}
  </ul>
</nav>`;
}
