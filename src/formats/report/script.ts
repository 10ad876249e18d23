/** What the report does where scripts run: filters of findings, and a slider through the widths. Without it all shows. */
export const SCRIPT = `
(() => {
  const all = (selector) => [...document.querySelectorAll(selector)];
  const holds = (element, width) => (element.dataset.widths || '').split(' ').some((range) => {
    const [from, to] = range.split('-').map(Number);
    return width >= from && width <= to;
  });
  const articles = all('article[data-check]');
  const told = document.getElementById('told');
  const filters = all('select[data-filter]');
  let width = null;
  const apply = () => {
    let shown = 0;
    for (const article of articles) {
      const fits = filters.every((select) => select.value === '' || (article.dataset[select.dataset.filter] || '').split(' | ').includes(select.value));
      article.hidden = !(fits && (width === null || holds(article, width)));
      if (!article.hidden) shown++;
    }
    if (told) told.textContent = shown + ' of ' + articles.length + ' shown';
  };
  for (const form of all('form[hidden]')) form.hidden = false;
  for (const form of all('form')) form.addEventListener('submit', (event) => event.preventDefault());
  for (const select of filters) select.addEventListener('change', apply);
  const slider = document.getElementById('width');
  const every = document.getElementById('every-width');
  const output = document.getElementById('width-shown');
  const figures = all('figure[data-widths]');
  const look = () => {
    width = every.checked ? null : Number(slider.value);
    slider.disabled = every.checked;
    output.textContent = width === null ? 'every width' : width + ' px';
    for (const figure of figures) figure.hidden = width !== null && !holds(figure, width);
    apply();
  };
  if (slider && every && output) {
    slider.addEventListener('input', look);
    every.addEventListener('change', look);
    look();
  }
  const reveal = () => {
    const target = location.hash && document.getElementById(decodeURIComponent(location.hash.slice(1)));
    if (target && target.hidden) target.hidden = false;
  };
  addEventListener('hashchange', reveal);
  apply();
})();
`.trim();
