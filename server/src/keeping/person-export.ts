import { Op } from 'sequelize';
import { takenBack, type LiveEvent } from '@wrenfern/core/live/events';
import { escapeXml } from '@wrenfern/core/body/figure/escape-xml';
import { listWords } from '@wrenfern/core/movement/words';
import { ratherNotOf } from '@wrenfern/core/people/rather-not';
import { cautionWords } from '@wrenfern/core/formats/csv/caution-cell';
import { signOf } from '@wrenfern/core/people/signs';
import { cautionOf } from '@wrenfern/core/people/cautions/cautions';
import { Booking, ClassEvent, ClassRow, type PersonRow } from '../db/models.ts';

export type PersonEverything = Awaited<ReturnType<typeof collectPerson>>;

/** All that is kept about one person. */
export async function collectPerson(row: PersonRow) {
  const { id, studioId, name, createdAt, updatedAt } = row;
  const bookings = await Booking.findAll({ where: { studioId, personId: id } });
  const classId = { [Op.in]: bookings.map((booking) => booking.classId) };
  const [classes, events] = await Promise.all([
    ClassRow.findAll({
      where: { studioId, id: classId },
      attributes: ['id', 'title', 'startsAt', 'taughtRevision'],
      paranoid: false,
      order: ['startsAt'],
    }),
    ClassEvent.findAll({ where: { studioId, classId } }),
  ]);
  const bookingOf = new Map(bookings.map((booking) => [booking.classId, booking]));
  const away = takenBack(events.map(({ event }) => event));
  /** When it was pressed, and whether it was taken back afterwards. */
  const pressed = (event: LiveEvent) => ({
    at: new Date(event.atMs).toISOString(),
    ...(away.has(event.id) ? { takenBack: true } : {}),
  });
  return {
    format: 'wrenfern-person/1' as const,
    id,
    name,
    ...row.record,
    since: createdAt.toISOString(),
    changed: updatedAt.toISOString(),
    classes: classes.map((lesson) => {
      const booking = bookingOf.get(lesson.id);
      return {
        title: lesson.title,
        startsAt: lesson.startsAt.toISOString(),
        taught: lesson.taughtRevision !== null,
        today: booking?.today ?? [],
        todayNote: booking?.todayNote ?? '',
        choices: booking?.choices ?? {},
        moved: events.flatMap(({ classId: of, event }) =>
          of === lesson.id && event.type === 'moved' && event.personId === id
            ? [{ itemId: event.itemId, option: event.option, ...pressed(event) }]
            : [],
        ),
        effort: events.flatMap(({ classId: of, event }) =>
          of === lesson.id && event.type === 'effort' && event.personId === id
            ? [{ rating: event.rating, ...pressed(event) }]
            : [],
        ),
        seen: events.flatMap(({ classId: of, event }) =>
          of === lesson.id && event.type === 'seen' && event.personId === id
            ? [
                {
                  itemId: event.itemId,
                  sign: event.sign,
                  remedy: event.remedy,
                  ...pressed(event),
                },
              ]
            : [],
        ),
      };
    }),
  };
}

/** How the name is said, whom to call, what they would rather not do. */
function aboutPerson({ saidAs, emergency, statureCm, ratherNot = [] }: PersonEverything): string {
  return [
    ...(saidAs ? [`Said as ${saidAs}.`] : []),
    ...(emergency ? [`In an emergency call ${emergency.name}, ${emergency.phone}.`] : []),
    ...(statureCm === undefined ? [] : [`${statureCm} cm tall.`]),
    ...(ratherNot.length > 0
      ? [`Would rather: ${listWords(ratherNot.map((id) => ratherNotOf(id).name))}.`]
      : []),
  ].join(' ');
}

/** The same for a reader: one page without scripts. */
export function writePersonPage(person: PersonEverything): string {
  const cautions = person.cautions.map((entry) => cautionWords(entry).join(', '));
  const classes = person.classes.map(
    ({ startsAt, title, taught, todayNote, today, seen, effort }) =>
      [
        startsAt.slice(0, 16).replace('T', ' '),
        title,
        taught ? 'taught' : 'planned',
        ...today.map(({ caution }) => cautionOf(caution).name),
        ...seen.map(
          (each) => signOf(each.sign).seen + ('takenBack' in each ? ' (taken back)' : ''),
        ),
        ...effort.map(({ rating }) => `effort ${rating} of 10`),
        todayNote,
      ]
        .filter(Boolean)
        .join(', '),
  );
  return [
    '<!doctype html><html lang="en"><meta charset="utf-8">',
    `<title>${escapeXml(person.name)}</title>`,
    `<h1>${escapeXml(person.name)}</h1>`,
    `<p>All that Wrenfern keeps about this person. Kept since ${person.since.slice(0, 10)}.</p>`,
    `<p>Usual option: ${person.level}. Note: ${escapeXml(person.note) || 'none'}.</p>`,
    `<p>${escapeXml(aboutPerson(person))}</p>`,
    `<h2>Cautions</h2>${list(cautions)}`,
    `<h2>Classes (times in UTC)</h2>${list(classes)}`,
    '</html>',
  ].join('\n');
}

const list = (lines: readonly string[]) =>
  lines.length === 0
    ? '<p>None.</p>'
    : `<ul>${lines.map((line) => `<li>${escapeXml(line)}</li>`).join('')}</ul>`;
