import { MOODS } from '@garnish/core/fonts/mood';
import { useState } from 'react';
import { LanguagesField, MoodField, NeedsField, setBrief } from '../../brief/brief-fields.tsx';
import { Fact } from '../../findings/fact.tsx';
import { Notes } from '../../findings/note.tsx';
import { useDecided, useStore, useSystem } from '../../system/system-context.ts';
import { Bench, Section } from '../../ui/bench.tsx';
import { Choice } from '../../ui/choice.tsx';
import { NumberField } from '../../ui/number-field.tsx';

interface WordsProps {
  readonly label: string;
  readonly hint: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}

function Words({ label, hint, value, onChange }: WordsProps) {
  const [draft, setDraft] = useState<string>();
  return (
    <label className="mb-3 block">
      <span className="text-quiet">{label}</span>
      <textarea
        className="block w-full border-b border-line-strong bg-transparent"
        rows={2}
        maxLength={2000}
        placeholder={hint}
        value={draft ?? value}
        onChange={(event) => setDraft(event.currentTarget.value)}
        onBlur={() => {
          if (draft !== undefined && draft !== value) onChange(draft);
          setDraft(undefined);
        }}
      />
    </label>
  );
}

/** What the site is to do, for whom, and how it should feel: what every later choice is held against. */
export default function BriefArea() {
  const store = useStore();
  const decided = useDecided(['brief', 'description']);
  const findings = useSystem((state) => state.findings);
  const { brief } = decided.document;
  return (
    <Bench title="Brief">
      <Section title="The site">
        <div data-decision="/description">
          <Words
            label="description, as on the list of systems"
            hint="In a sentence or two, for whoever opens this next."
            value={decided.document.description}
            onChange={(value) =>
              store.change([{ op: 'replace', path: '/description', value }], 'description')
            }
          />
        </div>
        <div data-decision="/brief/purpose">
          <Words
            label="what it is for"
            hint="What should somebody be able to do here?"
            value={brief.purpose}
            onChange={(value) => setBrief(store, 'purpose', value)}
          />
          <Words
            label="who reads it"
            hint="Who, where, how often, in what light?"
            value={brief.audience}
            onChange={(value) => setBrief(store, 'audience', value)}
          />
        </div>
      </Section>
      <Section
        title="Mood"
        aside="up to four words"
        notes={
          <>
            {brief.mood.map((word) => (
              <Fact key={word}>
                {word}: {MOODS[word].says}.
              </Fact>
            ))}
            {brief.mood.length === 0 && (
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
          <div className="w-32" data-decision="/brief/fontBudgetKb">
            <NumberField
              label="fonts on a first visit"
              value={brief.fontBudgetKb}
              min={10}
              max={5000}
              step={10}
              decimals={0}
              unit="kB"
              units={{ kb: 1, mb: 1000 }}
              onChange={(value, gesture) =>
                setBrief(store, 'fontBudgetKb', value, 'budget of the fonts', gesture)
              }
            />
          </div>
          <div data-decision="/brief/conformance">
            <span className="block text-quiet">contrast by WCAG 2.2</span>
            <Choice
              label="Conformance"
              options={[
                { value: 'AA', name: 'AA' },
                { value: 'AAA', name: 'AAA' },
              ]}
              value={brief.conformance}
              onChange={(value) => setBrief(store, 'conformance', value, `conformance ${value}`)}
            />
          </div>
          <div className="w-32" data-decision="/brief/zoom">
            <NumberField
              label="browsers zoom up to"
              value={brief.zoom}
              min={200}
              max={500}
              step={50}
              decimals={0}
              unit="%"
              onChange={(value, gesture) => setBrief(store, 'zoom', value, 'highest zoom', gesture)}
            />
          </div>
        </div>
        <div className="mt-3 flex items-end gap-6" data-decision="/brief/line">
          {(['from', 'to'] as const).map((end) => (
            <div key={end} className="w-32">
              <NumberField
                label={end === 'from' ? 'lines of text, at least' : 'at most'}
                value={brief.line[end]}
                min={end === 'from' ? 10 : brief.line.from + 1}
                max={end === 'from' ? Math.min(120, brief.line.to - 1) : 160}
                step={1}
                decimals={0}
                unit="char."
                onChange={(value, gesture) =>
                  setBrief(store, `line/${end}`, value, 'length of lines', gesture)
                }
              />
            </div>
          ))}
        </div>
      </Section>
    </Bench>
  );
}
