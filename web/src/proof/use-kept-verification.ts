import { useEffect } from 'react';
import { get } from '../api/client.ts';
import { useStore } from '../system/system-context.ts';

/** So long the system has been open before the last verification is asked for, in ms. */
const OPENING_MS = 3000;

/** What came out when the files of the system were verified last joins the findings, where it is still of what is saved. */
export function useKeptVerification(): void {
  const store = useStore();
  useEffect(() => {
    let isOff = false;
    const ask = async (): Promise<void> => {
      const { id, decided } = store.state();
      const [{ keptVerification }, { checkVerified }] = await Promise.all([
        import('../api/verification.ts'),
        import('@garnish/core/verify/findings'),
      ]);
      const kept = await get(`/api/systems/${id}/verified`, keptVerification);
      const now = store.state();
      const isOfThis = kept?.sequence === now.sequence && now.saving === 'saved';
      if (!isOff && isOfThis && now.decided.document === decided.document)
        store.found('files', checkVerified(kept.verification));
    };
    // Where the server does not answer, verifying again tells as much.
    const timer = setTimeout(() => void ask().catch(() => undefined), OPENING_MS);
    return () => {
      isOff = true;
      clearTimeout(timer);
    };
  }, [store]);
}
