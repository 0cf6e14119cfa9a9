import { describe, expect, it } from 'vitest';
import { analyse } from '@wrenfern/core/analyse';
import { personPage } from '@wrenfern/core/formats/person-page';
import { personPageHtml } from '@wrenfern/core/formats/person-page-html';
import { CAUTIONS } from '@wrenfern/core/people/cautions/cautions';
import { Person } from '@wrenfern/core/people/person';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import { composePlan, exercise } from './compose-plan.ts';
import { builtInCatalogue as catalogue } from './index.ts';

const PLAN = composePlan({ title: 'Long & low', targetS: 900 }, [
  ['Floor', ['bird-dog', 'clam', 'plank'].map((slug) => exercise(slug))],
]);

function pageOf(record: object) {
  const person = Person.parse({ id: 'p', name: 'Wim <Dask>', level: 2, ...record });
  const analysis = analyse(PLAN, catalogue, {
    attendees: [{ person }],
    cupboard: {},
    day: '2026-11-29',
    machines: PLAIN_MACHINES,
  });
  return personPage({ plan: PLAN, catalogue, analysis, person, when: 'Sunday' });
}

describe('a class as one person does it', () => {
  it('has every exercise with its clock, its dose and their own way', () => {
    const [part] = pageOf({}).parts;
    expect(part?.rows.map(({ name }) => name)).toEqual(
      ['bird-dog', 'clam', 'plank'].map((slug) => catalogue.require(slug).name),
    );
    for (const row of part?.rows ?? []) {
      expect(row.at).toMatch(/^\d+:\d\d$/);
      expect(row.dose).not.toBe('');
      expect(row.ways).toHaveLength(1);
      expect(row.ways[0]?.does).toMatch(/^option 2, /);
      expect(row.drawn?.exercise.name).toBe(row.name);
    }
  });

  it('tells supports and sides, drawn as they are done', () => {
    const [first] = pageOf({ cautions: [{ caution: 'wrist', side: 'left' }] }).parts[0]?.rows ?? [];
    expect(first?.ways.map(({ does }) => does).join()).toMatch(/forearms|fist|heel|wedge/i);
    const knee = pageOf({ cautions: [{ caution: 'knee' }] }).parts[0]?.rows[0];
    expect(knee?.ways[0]?.does).toContain('pad');
    expect(knee?.drawn?.option.props.map(({ prop }) => prop)).toContain('pad');
  });

  it('names no condition, and its words are text', () => {
    for (const { id, name } of CAUTIONS) {
      const html = personPageHtml(pageOf({ cautions: [{ caution: id }] }));
      expect(html).toContain('Wim &lt;Dask&gt;');
      expect(html.toLowerCase()).not.toContain(`${name.toLowerCase()}<`);
      expect(html).not.toContain(`>${name}`);
    }
  });
});
