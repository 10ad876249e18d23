/** The content of each page of the demo site. */

const hero = (title, lead, action = '') => `<div class="hero">
  <div class="wrap hero__inner">
    <h1>${title}</h1>
    <p class="hero__lead">${lead}</p>
    ${action}
  </div>
</div>`;

const main = (inner) => `<main id="content">
${inner}
</main>`;

const entries = (links) => links.map(([href, text]) => `    <li><a href="${href}">${text}</a></li>`).join('\n');

/** The parts of a page, folded up by details. */
const folded = (links) => `<nav class="parts" aria-label="On this page">
  <details>
    <summary>On this page</summary>
    <ul>
${entries(links)}
    </ul>
  </details>
</nav>`;

/** The same by a checkbox. */
const switched = (links) => `<nav class="parts" aria-label="On this page">
  <input class="parts__box" type="checkbox" id="parts-box">
  <label class="parts__label" for="parts-box">On this page <span aria-hidden="true">▾</span></label>
  <ul class="parts__list">
${entries(links)}
  </ul>
</nav>`;

/** The same as a popover. */
const popped = (links) => `<div class="parts">
  <button class="parts__label" type="button" popovertarget="parts-list">On this page <span aria-hidden="true">▾</span></button>
  <nav class="parts__popover" id="parts-list" popover aria-label="On this page">
    <ul>
${entries(links)}
    </ul>
  </nav>
</div>`;

const crossings = [
  ['06:10', 'Port Averley', 'Sula Rock', '07:00', 'Gannet'],
  ['07:25', 'Port Averley', 'Marrow Island', '08:40', 'Old Mercy'],
  ['09:00', 'Sula Rock', 'Port Averley', '09:50', 'Gannet'],
  ['10:15', 'Port Averley', 'Tern Skerries', '12:05', 'Petrel'],
  ['11:40', 'Marrow Island', 'Port Averley', '12:55', 'Old Mercy'],
  ['13:30', 'Port Averley', 'Kelp Holm', '14:20', 'Gannet'],
  ['15:05', 'Tern Skerries', 'Port Averley', '16:55', 'Petrel'],
  ['17:45', 'Port Averley', 'Marrow Island', '19:00', 'Old Mercy'],
  ['18:20', 'Kelp Holm', 'Port Averley', '19:10', 'Gannet'],
];

const isles = [
  ['sula', 'Sula Rock', 'Twenty houses, a lighthouse and some forty thousand gannets. The path to the light is steep and worth it.'],
  ['marrow', 'Marrow Island', 'The largest of the four: a school, a bakery, a cinema on Fridays and a beach that faces the evening.'],
  ['tern', 'Tern Skerries', 'A string of reefs with one landing. Bring a warm coat; the boat waits two hours and not a minute more.'],
  ['kelp', 'Kelp Holm', 'Flat, green and full of sheep. The smokehouse opens when the boat is in.'],
];

export const pages = [
  {
    slug: 'index',
    title: 'Home',
    tint: '#0d3b4f',
    description: 'Four islands, three boats, one timetable: crossings with Tidewrack Island Ferries.',
    body: (edition) =>
      main(`${hero('Out to the islands and back by supper', 'Four islands, three boats, one timetable. We have crossed the Tidewrack Sound since 1931.', `<p><a class="button" href="timetable.html">See today’s sailings</a></p>`)}
<section class="band band--paper">
  <div class="wrap">
    <h2>Next sailings</h2>
    <ul class="cards">
${crossings
  .slice(0, 3)
  .map(([time, from, to, arrive, boat]) => `      <li class="card"><h3>${time} to ${to}</h3><p>From ${from} on the ${boat}, in at ${arrive}.</p><p><a href="fares.html#book">Book this crossing</a></p></li>`)
  .join('\n')}
    </ul>
  </div>
</section>
<section class="band band--deep" id="why">
  <div class="wrap columns">
    <div>
      <h2>Why people come</h2>
      <p>For the birds, the quiet and the bread. Most day visitors take the 07:25 to Marrow Island and the 17:45 home, which leaves time for the ridge walk and a swim if you are hardy.</p>
      <p>Dogs travel free. So do bicycles on weekdays, as long as there is room on the car deck.</p>
    </div>
    <div>
      <h2>Before you sail</h2>
      <ol>
        <li>Be at the pier a quarter of an hour early.</li>
        <li>Have your ticket ready, on paper or on your phone.</li>
        <li>Tell the crew if you need the ramp: they put it out for anyone who asks.</li>
      </ol>
    </div>
  </div>
</section>
<section class="band band--sand">
  <div class="wrap">
    <h2>The four islands</h2>
    <ul class="cards cards--four">
${isles.map(([id, name, text]) => `      <li class="card"><h3><a href="islands.html#${id}">${name}</a></h3><p>${text}</p></li>`).join('\n')}
    </ul>
  </div>
</section>
<section class="band band--paper" id="letter">
  <div class="wrap">
    <h2>A letter from the pier</h2>
    <p>Once a month we write about weather, timetables and what the gannets are up to.</p>
    <form class="letter" action="contact.html">
      <label for="mail">Your address</label>
      <input id="mail" type="email" name="mail"${edition === 'launched' ? ' tabindex="5"' : ''}>
      <button type="submit">Send it to me</button>
    </form>
  </div>
</section>`),
  },
  {
    slug: 'timetable',
    title: 'Timetable',
    tint: '#16465a',
    description: 'Sailing times between Port Averley and the islands.',
    body: (edition) =>
      main(`${hero('Timetable', 'Summer timetable, from the first of April to the last of October.')}
${folded([['#sailings', 'Sailings'], [edition === 'launched' ? '#notice' : '#notices', 'Notices']])}
<section class="band band--paper" id="sailings">
  <div class="wrap">
    <h2>Daily crossings</h2>
    <table class="times">
      <caption>All times are local and hold from Monday to Saturday</caption>
      <thead><tr><th scope="col">Leaves</th><th scope="col">From</th><th scope="col">To</th><th scope="col">Arrives</th><th scope="col">Boat</th></tr></thead>
      <tbody>
${crossings.map((row) => `        <tr>${row.map((cell) => `<td>${cell}</td>`).join('')}</tr>`).join('\n')}
      </tbody>
    </table>
  </div>
</section>
<section class="band band--deep" id="notices">
  <div class="wrap">
    <h2>Notices</h2>
    <p>In a south-westerly above force seven the Petrel stays in. We decide at six in the morning and say so here.</p>
    <p>The landing at Tern Skerries has no handrail until June.</p>
  </div>
</section>`),
  },
  {
    slug: 'fares',
    title: 'Fares',
    tint: '#123f3a',
    description: 'What a crossing costs, with cars, bikes and dogs.',
    body: () =>
      main(`${hero('Fares and passes', 'One price for each island, whatever the boat.')}
<section class="band band--paper" id="book">
  <div class="wrap">
    <h2>Single and return</h2>
    <table class="times">
      <thead><tr><th scope="col">Island</th><th scope="col">Single</th><th scope="col">Return</th><th scope="col">Child</th></tr></thead>
      <tbody>
        <tr><td>Sula Rock</td><td>9.50</td><td>16.00</td><td>4.00</td></tr>
        <tr><td>Marrow Island</td><td>12.00</td><td>20.00</td><td>5.00</td></tr>
        <tr><td>Tern Skerries</td><td>18.00</td><td>30.00</td><td>8.00</td></tr>
        <tr><td>Kelp Holm</td><td>9.50</td><td>16.00</td><td>4.00</td></tr>
      </tbody>
    </table>
  </div>
</section>
<section class="band band--deep" id="groups">
  <div class="wrap">
    <h2>Groups and schools</h2>
    <p>Ten people travel for the price of eight. Schools on the islands travel free in term time.</p>
  </div>
</section>
<section class="band band--sand" id="vehicles">
  <div class="wrap">
    <h2>Cars, bikes and trailers</h2>
    <p>The car deck takes eleven cars, or ten and the baker’s van. Book a place; people on foot need none.</p>
  </div>
</section>
<section class="band band--paper" id="offers">
  <div class="wrap">
    <h2>Offers</h2>
    <p>On the first Sunday of each month the second ticket costs nothing.</p>
  </div>
</section>`),
  },
  {
    slug: 'islands',
    title: 'Islands',
    tint: '#2a3f1f',
    description: 'The four islands we sail to.',
    body: () =>
      main(`${hero('The four islands', 'Rock, bread, reefs and sheep, in that order from the pier.')}
${switched(isles.map(([id, name]) => [`#${id}`, name]))}
${isles
  .map(
    ([id, name, text], i) => `<section class="band ${i % 2 ? 'band--sand' : 'band--paper'}" id="${id}">
  <div class="wrap">
    <h2>${name}</h2>
    <p>${text}</p>
    <p><a href="timetable.html">Sailings to ${name}</a></p>
  </div>
</section>`,
  )
  .join('\n')}`),
  },
  {
    slug: 'contact',
    title: 'Contact',
    tint: '#3b2a4f',
    description: 'How to reach the pier office and travel step-free.',
    body: () =>
      main(`${hero('Talk to us', 'The pier office is open from half past five until the last boat is in.')}
${popped([['#access', 'Step-free travel'], ['#crew', 'Work on board'], ['#history', 'Our boats since 1931']])}
<section class="band band--paper" id="access">
  <div class="wrap">
    <h2>Step-free travel</h2>
    <p>All three boats have a ramp. At Tern Skerries the landing itself has eleven steps, and we say so before you book.</p>
  </div>
</section>
<section class="band band--deep" id="crew">
  <div class="wrap">
    <h2>Work on board</h2>
    <p>We look for a second engineer and for people who like early mornings.</p>
  </div>
</section>
<section class="band band--sand" id="history">
  <div class="wrap">
    <h2>Our boats since 1931</h2>
    <p>The first Old Mercy was a fishing smack with benches. The present one is the fourth of her name.</p>
  </div>
</section>`),
  },
];
