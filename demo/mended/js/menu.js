const toggle = document.querySelector('.menu-toggle');
const nav = document.querySelector('.site-nav');

toggle.addEventListener('click', () => {
  const open = nav.classList.toggle('is-open');
  toggle.setAttribute('aria-expanded', String(open));
});

for (const button of document.querySelectorAll('.site-menu button.site-menu__link')) {
  const item = button.closest('.has-panel');
  button.addEventListener('click', () => {
    const open = item.classList.toggle('is-open');
    button.setAttribute('aria-expanded', String(open));
  });
}

document.addEventListener('keydown', (event) => {
  if (event.key !== 'Escape' || !nav.classList.contains('is-open')) return;
  nav.classList.remove('is-open');
  toggle.setAttribute('aria-expanded', 'false');
  toggle.focus();
});
