import { brief } from '@garnish/core/system/areas/brief';
import { Suspense } from 'react';
import { MOODS } from '@garnish/core/fonts/mood';
import { LanguagesField, MoodField, NeedsField, setBrief } from '../../brief/brief-fields.tsx';
import { Fact } from '../../findings/fact.tsx';
import { Notes } from '../../findings/note.tsx';
import { DecidedNumber } from '../../system/decided-number.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { lazyPart } from '../../ui/patient.ts';
import { useView, Views } from '../../ui/views.tsx';
import { Bench, Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { WordsField } from '../../ui/words-field.tsx';

/** What the site is to do, for whom, and how it should feel: what every later choice is held against. */
function SiteView() {
  const store = useStore();
  const decided = useDecided(['brief', 'description']);
  const findings = useSystem((state) => state.findings);
  const { brief: own } = decided.document;
  return (
    <>
      <Section title="The site">
        <div data-decision="/description">
          <WordsField
            label="description, as on the list of systems"
            hint="In a sentence or two, for whoever opens this next."
            value={decided.document.description}
            onChange={(value) =>
              store.change([{ op: 'replace', path: '/description', value }], 'description')
            }
          />
        </div>
        <div data-decision="/brief/purpose">
          <WordsField
            label="what it is for"
            hint="What should somebody be able to do here?"
            value={own.purpose}
            onChange={(value) => setBrief(store, 'purpose', value)}
          />
          <WordsField
            label="who reads it"
            hint="Who, where, how often, in what light?"
            value={own.audience}
            onChange={(value) => setBrief(store, 'audience', value)}
          />
        </div>
      </Section>
      <Section
        title="Mood"
        aside="up to four words"
        notes={
          <>
            {own.mood.map((word) => (
              <Fact key={word}>
                {word}: {MOODS[word].says}.
              </Fact>
            ))}
            {own.mood.length === 0 && (
              <Fact>Each word asks for traits that can be measured; pairs are ranked by them.</Fact>
            )}
          </>
        }
      >
        <div data-decision="/brief/mood">
          <MoodField />
        </div>
      </Section>
      <Section
        title="Languages"
        aside="the main one sets hyphens and letter widths"
        notes={<Notes findings={findings} at={['/brief/languages']} />}
      >
        <div data-decision="/brief/languages">
          <LanguagesField />
        </div>
      </Section>
      <Section title="Needs" aside="a face without them is left out">
        <div data-decision="/brief/needs">
          <NeedsField />
        </div>
      </Section>
      <Section
        title="Limits"
        notes={
          <>
            <Notes
              findings={findings}
              at={['/brief/fontBudgetKb', '/brief/conformance', '/brief/line', '/brief/zoom']}
            />
            <Fact>
              Text has to become twice as large within the highest zoom of the readers’ browsers.
              Most go to 500 %, some end at 300 %.
            </Fact>
          </>
        }
      >
        <div className="flex items-end gap-6">
          <div className="w-32">
            <DecidedNumber
              path="/brief/fontBudgetKb"
              name="budget of the fonts"
              label="fonts on a first visit"
              value={own.fontBudgetKb}
              step={10}
              decimals={0}
              unit="kB"
              units={{ kb: 1, mb: 1000 }}
            />
          </div>
          <div data-decision="/brief/conformance">
            <span className="block text-quiet">contrast by WCAG 2.2</span>
            <div className="flex min-h-7 items-center">
              <Choice
                label="Conformance"
                options={[
                  { value: 'AA', name: 'AA' },
                  { value: 'AAA', name: 'AAA' },
                ]}
                value={own.conformance}
                onChange={(value) => setBrief(store, 'conformance', value, `conformance ${value}`)}
              />
            </div>
          </div>
          <div className="w-32">
            <DecidedNumber
              path="/brief/zoom"
              name="highest zoom"
              label="browsers zoom up to"
              value={own.zoom}
              step={50}
              decimals={0}
              unit="%"
            />
          </div>
        </div>
        <div className="mt-3 flex items-end gap-6" data-decision="/brief/line">
          {(['from', 'to'] as const).map((end) => (
            <div key={end} className="w-32">
              <DecidedNumber
                path={`/brief/line/${end}`}
                name="length of lines"
                min={end === 'to' ? Math.max(20, own.line.from + 1) : undefined}
                max={end === 'from' ? Math.min(120, own.line.to - 1) : undefined}
                label={end === 'from' ? 'lines of text, at least' : 'at most'}
                value={own.line[end]}
                step={1}
                decimals={0}
                unit="char."
              />
            </div>
          ))}
        </div>
      </Section>
    </>
  );
}

const PagesView = lazyPart(() => import('./pages-view.tsx'));
const DialsView = lazyPart(async () => ({ default: (await import('./dials-view.tsx')).DialsView }));

/** What the site is to do, and the pages that it does it with. */
export default function BriefArea() {
  const [view, open] = useView(brief.views);
  const isSite = view === 'site';
  return (
    <Bench title="Brief" key={view} margin={isSite}>
      <Views label="Views of the brief" views={brief.views} open={view} onOpen={open} />
      {isSite ? (
        <SiteView />
      ) : (
        <Suspense fallback={<p className="p-4 text-quiet">Opening …</p>}>
          {view === 'pages' ? <PagesView /> : <DialsView />}
        </Suspense>
      )}
    </Bench>
  );
}
