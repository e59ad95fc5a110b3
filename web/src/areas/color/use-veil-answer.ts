import { useEffect, useRef, useState } from 'react';
import { pixelsAt } from '../../ui/picture.ts';
import type { VeilAnswer, VeilQuestion } from './veil-worker.ts';

/** Asks the worker again whenever the question changes; the last answer stands meanwhile. Says where no pixels can be read. */
export function useVeilAnswer(
  address: string,
  question: Omit<VeilQuestion, 'id' | 'picture'>,
): VeilAnswer | 'unread' | undefined {
  const worker = useRef<Worker>(undefined);
  const [answer, setAnswer] = useState<VeilAnswer>();
  const [ready, setReady] = useState<string>();
  const [unread, setUnread] = useState<string>();
  const picture = useRef<ImageData>(undefined);
  const asked = useRef(0);
  const key = JSON.stringify(question);
  useEffect(() => {
    const started = new Worker(new URL('./veil-worker.ts', import.meta.url), { type: 'module' });
    started.onmessage = ({ data }: MessageEvent<VeilAnswer>) => {
      if (data.id === asked.current) setAnswer(data);
    };
    worker.current = started;
    let gone = false;
    pixelsAt(address)
      .then((pixels) => {
        if (gone) return;
        picture.current = pixels;
        setReady(address);
      })
      .catch(() => !gone && setUnread(address));
    return () => {
      gone = true;
      started.terminate();
    };
  }, [address]);
  useEffect(() => {
    if (ready !== address) return;
    const timer = setTimeout(() => {
      asked.current += 1;
      const first = picture.current;
      picture.current = undefined;
      worker.current?.postMessage({
        ...(JSON.parse(key) as Omit<VeilQuestion, 'id' | 'picture'>),
        id: asked.current,
        ...(first && { picture: first }),
      });
    }, 60);
    return () => clearTimeout(timer);
  }, [key, ready, address]);
  return unread === address ? 'unread' : answer;
}
