import { describe, expect, it } from 'vitest';
import type { PropUse } from '../movement/exercise.ts';
import { ItemProps, propsHeld, withoutBrought } from './item-props.ts';

const use = (prop: PropUse['prop'], place: PropUse['place'], optional = false): PropUse => ({
  prop,
  place,
  role: 'support',
  count: 1,
  optional,
});

const ball = use('small-ball', 'between knees');
const underHead = use('cushion', 'under head');
const underKnees = use('cushion', 'under knees');
const ifWanted = use('blanket', 'under head', true);

describe('propsHeld', () => {
  it('holds what the option needs, and not what is only there if wanted', () => {
    expect(propsHeld([ball, ifWanted], {}, [])).toEqual([ball]);
  });

  it('holds what somebody needs at a place where others have it only if wanted', () => {
    const needed = { ...ifWanted, optional: false };
    expect(propsHeld([ifWanted, needed], {}, [])).toEqual([needed]);
  });

  it('adds, and leaves away', () => {
    const props = { added: [underHead], without: ['small-ball' as const] };
    expect(propsHeld([ball], { props }, [])).toEqual([underHead]);
  });

  it('holds one prop at two places at once', () => {
    const props = { added: [underHead, underKnees] };
    expect(propsHeld([], { props }, [])).toEqual([underHead, underKnees]);
  });

  it('counts what is added where it is in any case once', () => {
    expect(propsHeld([ball], { props: { added: [ball] } }, [])).toEqual([ball]);
  });

  it('keeps what lay there, only where that is said', () => {
    expect(propsHeld([ball], {}, [underHead])).toEqual([ball]);
    expect(propsHeld([ball], { keeps: ['shape'] }, [underHead])).toEqual([ball]);
    expect(propsHeld([ball], { keeps: ['props'] }, [underHead])).toEqual([ball, underHead]);
  });

  it('moves what it uses itself, in place of keeping it', () => {
    expect(propsHeld([underKnees], { keeps: ['props'] }, [underHead])).toEqual([underKnees]);
  });

  it('keeps nothing that it leaves away', () => {
    const said = { keeps: ['props' as const], props: { without: ['cushion' as const] } };
    expect(propsHeld([], said, [underHead, ball])).toEqual([ball]);
  });
});

describe('ItemProps', () => {
  it.each([{}, { added: [] }, { without: ['a rope'] }, { added: [{ prop: 'band' }] }])(
    'refuses %j',
    (props) => expect(ItemProps.safeParse(props).success).toBe(false),
  );
});

describe('withoutBrought', () => {
  it('takes what was added away', () => {
    expect(withoutBrought({ props: { added: [underHead] } }, 'cushion')).toBeUndefined();
    expect(withoutBrought({ props: { added: [underHead, ball] } }, 'cushion')).toEqual({
      added: [ball],
    });
  });

  it('says that what is kept is left away', () => {
    const props = withoutBrought({ keeps: ['props'] }, 'cushion');
    expect(propsHeld([], { keeps: ['props'], props }, [underHead])).toEqual([]);
  });
});
