import { describe, expect, it } from 'vitest';
import { CAUTIONS } from './cautions.ts';
import { searchCautions } from './search-cautions.ts';

describe('searchCautions', () => {
  /** As people say it: common practice. */
  it.each([
    ['slipped disc', 'disc'],
    ['pregnant', 'pregnancy'],
    ['diastasis', 'belly-separation'],
    ['new hip', 'hip-replacement'],
    ['glaucoma', 'eye-pressure'],
    ['brittle bones', 'osteoporosis'],
    ['heartburn', 'reflux'],
    ['hypertension', 'blood-pressure'],
    ['tmj', 'jaw'],
    ['vertigo', 'dizzy'],
  ])('%s finds %s among the first', (words, id) => {
    const first = searchCautions(words).slice(0, 4);
    expect(first.map((caution) => caution.id)).toContain(id);
  });

  it('is all of them while nothing is asked for, and none for nonsense', () => {
    expect(searchCautions('  ')).toHaveLength(CAUTIONS.length);
    expect(searchCautions('zzqqxx')).toEqual([]);
  });
});
