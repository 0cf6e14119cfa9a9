import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useDoor } from '../../data/hooks.ts';
import { request, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { DoorFrame } from './door-frame.tsx';
import { useEnter } from './enter.ts';

/** The demo studio's own page: one press, and only into the demo. */
export function Component() {
  const { slug = '' } = useParams();
  const door = useDoor();
  const enter = useEnter();
  const [fault, setFault] = useState<string>();
  if (door.error) return <Failed error={door.error} retry={() => void door.mutate()} />;
  if (!door.data) return <Loading what="the studio’s door" />;
  const { demo } = door.data;
  if (demo?.slug !== slug) {
    return (
      <DoorFrame>
        <h1 className="text-2xl">This studio’s door is closed</h1>
        <p className="my-3">Members come in with their email and password.</p>
        <Link className="font-semibold text-fern underline" to="/sign-in">
          Sign in
        </Link>
      </DoorFrame>
    );
  }
  const comeIn = async () => {
    try {
      await request('POST', '/demo-session', { studio: slug });
      await enter();
    } catch (error) {
      setFault(sentenceOf(error));
    }
  };
  return (
    <DoorFrame>
      <h1 className="text-2xl">{demo.name}</h1>
      <p className="my-3 text-base">
        A former tile factory with fourteen mats, one cupboard, and bell-ringers, orchard pickers
        and tram drivers in the same class. All of it is invented, and yours to change.
      </p>
      {fault ? (
        <p role="alert" className="mb-3 text-copper">
          {fault}
        </p>
      ) : null}
      <Button look="main" className="min-h-11 w-full" onClick={() => void comeIn()}>
        Come in as Rowan, who teaches here
      </Button>
      <p className="mt-6">
        <Link className="font-semibold text-fern underline" to="/sign-in">
          Sign in to another studio
        </Link>
      </p>
    </DoorFrame>
  );
}
