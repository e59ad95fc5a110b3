import { tokens } from '@garnish/core/system/areas/tokens';
import { Bench } from '../../ui/bench.tsx';
import { useView, Views } from '../../ui/views.tsx';
import { AllTokens } from './all-tokens.tsx';
import { Files } from './files.tsx';
import { Names } from './names.tsx';

/** Everything derived, found and copied; and the files that it is handed over as. */
export default function TokensArea() {
  const [view, open] = useView(tokens.views);
  return (
    <Bench title="Tokens" margin={false}>
      <Views label="Views of tokens" views={tokens.views} open={view} onOpen={open} />
      {view === 'files' ? <Files /> : view === 'names' ? <Names /> : <AllTokens />}
    </Bench>
  );
}
