function toggleMenu() {
  document.querySelector('.site-nav').classList.toggle('is-open');
  document.body.classList.toggle('menu-is-open');
}

function showOffers() {
  window.location = 'fares.html#offers';
}
