/**
 * Builds the two editions of the demo site, as a static site builder would: `node demo/source/make.mjs`.
 * The pages in demo/launched and demo/mended are what the audit reads; nothing of this folder is needed for that.
 * Three pages there (booking, webcam, charter) stand alone, written by hand.
 */
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { header, mobileBar, footer, head } from './frame.mjs';
import { pages } from './pages.mjs';

for (const edition of ['launched', 'mended']) {
  const folder = `demo/${edition}`;
  mkdirSync(`${folder}/css`, { recursive: true });
  mkdirSync(`${folder}/js`, { recursive: true });
  mkdirSync(`${folder}/img`, { recursive: true });
  for (const page of pages) {
    const html = [
      '<!DOCTYPE html>',
      '<html lang="en">',
      head(page, edition),
      `<body class="page-${page.slug}">`,
      header(page, edition),
      page.body(edition).trim(),
      footer(page, edition),
      mobileBar(page, edition),
      '<script src="js/menu.js" defer></script>',
      '</body>',
      '</html>',
      '',
    ].join('\n');
    writeFileSync(`${folder}/${page.slug}.html`, html);
  }
  for (const sheet of ['base', 'header', 'sections', 'footer']) {
    writeFileSync(`${folder}/css/${sheet}.css`, readFileSync(`demo/source/css/${sheet}.${edition}.css`, 'utf8'));
  }
  writeFileSync(`${folder}/js/menu.js`, readFileSync(`demo/source/menu.${edition}.js`, 'utf8'));
  for (const picture of ['logo.svg', 'harbour.svg']) writeFileSync(`${folder}/img/${picture}`, readFileSync(`demo/source/img/${picture}`, 'utf8'));
}
