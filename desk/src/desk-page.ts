import type { Connection, DeskEvent, Letter, Timetable } from './wrenfern-client.ts';

/** A message that was sent, and what came back. */
export interface Sent {
  event: DeskEvent;
  name: string;
  answer: string;
  isAgain: boolean;
}

interface PageParts {
  connection: Connection | undefined;
  timetable: Timetable | undefined;
  sent: readonly Sent[];
  fault: string;
  last: Letter | undefined;
}

const EVENT_WORDS: Record<DeskEvent, string> = {
  booked: 'Book',
  cancelled: 'Cancel',
  'late-cancelled': 'Cancel late',
  'walked-in': 'Walk in',
};

const escape = (text: string) =>
  text.replace(
    /[&<>"']/g,
    (letter) =>
      ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[letter] ?? '',
  );

/** The whole desk as one page without scripts. */
export function writePage({ connection, timetable, sent, fault, last }: PageParts): string {
  return [
    '<!doctype html><html lang="en"><head><meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width"><title>Front desk (simulated)</title>',
    `<style>${STYLE}</style></head><body><main>`,
    '<p class="notice">This front desk is simulated. It ships with Wrenfern to show how bookings come in from another system; nobody is really booked.</p>',
    '<h1>Front desk</h1>',
    fault ? `<p role="alert" class="fault">${escape(fault)}</p>` : '',
    timetable ? writeDesk(timetable) : '',
    sent.length > 0 ? writeSent(sent, last) : '',
    writeConnect(connection),
    '</main></body></html>',
  ].join('\n');
}

function writeDesk({ studio, classes }: Timetable): string {
  if (classes.length === 0) return `<p>${escape(studio)} has no class in the next weeks.</p>`;
  const options = classes.map(({ id, title, startsAt, coming }) => {
    const when = startsAt.slice(0, 16).replace('T', ' ');
    return `<option value="${escape(id)}">${escape(title)}, ${when} UTC, ${coming} come</option>`;
  });
  const buttons = Object.entries(EVENT_WORDS).map(
    ([event, words]) => `<button name="event" value="${event}">${words}</button>`,
  );
  return `<section><h2>${escape(studio)}</h2>
<form method="post" action="/tell">
<label>Class<select name="class" required>${options.join('')}</select></label>
<label>Person<input name="name" maxlength="80" required autocomplete="off"></label>
<div class="row">${buttons.join('')}</div>
</form></section>`;
}

function writeSent(sent: readonly Sent[], last: Letter | undefined): string {
  const lines = sent.map(
    ({ event, name, answer, isAgain }) =>
      `<li>${EVENT_WORDS[event]}: ${escape(name)}${isAgain ? ', sent once more' : ''} <span>${escape(answer)}</span></li>`,
  );
  const again = last
    ? '<form method="post" action="/again"><button>Send the last message once more</button></form>'
    : '';
  return `<section><h2>Sent</h2><ul>${lines.join('')}</ul>${again}</section>`;
}

function writeConnect(connection: Connection | undefined): string {
  return `<section><h2>${connection ? 'Another studio' : 'Which studio'}</h2>
<p>Wrenfern, Studio, Booking desk shows both.</p>
<form method="post" action="/connect">
<label>Address<input name="address" type="url" required value="${escape(connection?.address ?? '')}"></label>
<label>Secret<input name="secret" type="password" required autocomplete="off"></label>
<div class="row"><button>Connect</button></div>
</form></section>`;
}

const STYLE = `
body { font: 16px/1.5 system-ui, sans-serif; margin: 0; background: #eef0f2; color: #1c2430; }
main { max-width: 40rem; margin: 0 auto; padding: 1.5rem 1rem 4rem; }
.notice { border: 2px dashed #9aa4b1; padding: .75rem 1rem; border-radius: .5rem; }
.fault { background: #fde8e4; color: #8c2413; padding: .5rem .75rem; border-radius: .5rem; }
section { background: #fff; border-radius: .75rem; padding: 1rem 1.25rem; margin: 1rem 0; }
h1, h2 { margin: 0 0 .5rem; } h2 { font-size: 1.1rem; }
label { display: block; margin: .5rem 0; font-weight: 600; }
input, select { display: block; width: 100%; box-sizing: border-box; min-height: 2.5rem; font: inherit; }
.row { display: flex; flex-wrap: wrap; gap: .5rem; margin-top: .75rem; }
button { font: inherit; min-height: 2.5rem; padding: 0 1rem; }
ul { padding-left: 1.1rem; } li span { color: #5a6675; }
`;
