import { useEffect, useState } from 'react';
import { WallTold } from '@wrenfern/contract/wall';
import { readJson } from '../../data/read-json.ts';

/** Nothing heard for so long: the class is lost, whatever the screen shows. The server speaks every 10 s. */
const LOST_MS = 25_000;
const LOOK_MS = 1_000;

export interface Wall {
  told: WallTold | undefined;
  /** When it was told, by this device's clock. */
  toldAtMs: number;
  line: 'opening' | 'open' | 'lost' | 'closed';
}

/** Follows a class at its private address. It opens again by itself; a line that is refused is over. */
export function useWall(token: string): Wall {
  const [told, setTold] = useState<{ view: WallTold; atMs: number }>();
  const [line, setLine] = useState<Wall['line']>('opening');
  useEffect(() => {
    const stream = new EventSource(`/api/wall/${encodeURIComponent(token)}/stream`);
    let heardMs = Date.now();
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      const read = WallTold.safeParse(readJson(data));
      // What another version tells is no class that this one can show.
      if (!read.success) {
        setLine('lost');
        return;
      }
      heardMs = Date.now();
      setTold({ view: read.data, atMs: heardMs });
      setLine('open');
    };
    stream.onerror = () => {
      if (stream.readyState === EventSource.CLOSED) setLine('closed');
    };
    const look = setInterval(() => {
      if (Date.now() - heardMs > LOST_MS) setLine((now) => (now === 'closed' ? now : 'lost'));
    }, LOOK_MS);
    return () => {
      clearInterval(look);
      stream.close();
    };
  }, [token]);
  return { told: told?.view, toldAtMs: told?.atMs ?? 0, line };
}
