import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { makeLesson } from '../../testing/a-class.tsx';
import { showScreen, standInForServer } from '../../testing/show-screen.tsx';
import { Component as Paper } from './paper.tsx';

standInForServer();

const lesson = makeLesson();
const [first] = lesson.attendees;

function show() {
  return showScreen(null, {
    at: `/classes/${lesson.id}/sheet`,
    routes: [{ path: '/classes/:id/sheet', element: <Paper /> }],
    answers: { [`GET /classes/${lesson.id}`]: () => ({ json: lesson }) },
  });
}

const printed = async () =>
  (await screen.findByTitle('What is printed')).getAttribute('srcdoc') ?? '';

describe('a class on paper', () => {
  it('is a run sheet first, in the app’s own type, without anybody’s name', async () => {
    show();
    const html = await printed();
    expect(html).toContain('Pelvic rock');
    expect(html).toMatch(/<style>@font-face \{ font-family: 'Fraunces Variable'.*<\/head>/);
    expect(html).not.toContain(first?.person.name.split(' ')[0]);
  });

  it('has first names only when they are asked for', async () => {
    const { user } = show();
    await user.click(await screen.findByLabelText('with first names'));
    expect(await printed()).toContain(first?.person.name.split(' ')[0]);
  });

  it('becomes one person’s page, of whom one likes, or of whom the address names', async () => {
    const { user } = show();
    await user.click(await screen.findByLabelText('One person’s page'));
    expect(await printed()).toMatch(/<h1>Asha Delun<\/h1>/);
    expect(screen.getByLabelText<HTMLSelectElement>('Whose').value).toBe(first?.person.id);
  });

  it.each([
    ['Set-up list', /: set-up<\/title>/],
    ['Cards, two on a page', /class="cards on2"/],
    ['Cards, eight on a page', /class="cards on8"/],
  ])('becomes: %s', async (form, shown) => {
    const { user } = show();
    await user.click(await screen.findByLabelText(form));
    expect(await printed()).toMatch(shown);
  });
});
