import { LONGEST_NOTE } from '@garnish/core/notes/note-schema';
import { useId, useRef, useState, type ReactNode } from 'react';
import type { NoteRecord, Thread, WritingNotes } from '../api/notes.ts';

const when = new Intl.DateTimeFormat('en-US', { dateStyle: 'medium', timeStyle: 'short' });

interface WordsFormProps {
  readonly label: string;
  readonly says: string;
  readonly start?: string;
  readonly onSay: (words: string) => Promise<void>;
  readonly onLeave?: () => void;
}

/** A few sentences that are sent; what fails is said, and the words are kept. */
export function WordsForm({ label, says, start = '', onSay, onLeave }: WordsFormProps) {
  const [words, setWords] = useState(start);
  const [problem, setProblem] = useState<string>();
  const [isSaying, setSaying] = useState(false);
  const id = useId();
  const say = async (): Promise<void> => {
    setSaying(true);
    setProblem(undefined);
    try {
      await onSay(words.trim());
      setWords('');
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'It could not be sent.');
    } finally {
      setSaying(false);
    }
  };
  return (
    <form
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (words.trim() !== '' && !isSaying) void say();
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || !onLeave) return;
        event.stopPropagation();
        onLeave();
      }}
    >
      <label htmlFor={id} className="block text-quiet">
        {label}
      </label>
      <textarea
        id={id}
        className="block w-full border-b border-line-strong bg-transparent"
        rows={2}
        maxLength={LONGEST_NOTE}
        value={words}
        onChange={({ target }) => setWords(target.value)}
      />
      {problem !== undefined && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
      <div className="flex gap-x-3">
        <button type="submit" className="act" disabled={words.trim() === '' || isSaying}>
          {says}
        </button>
        {onLeave && (
          <button type="button" className="act" onClick={onLeave}>
            Leave it
          </button>
        )}
      </div>
    </form>
  );
}

interface SaidProps {
  readonly note: NoteRecord;
  readonly isNew: boolean;
}

const Said = ({ note: { writer, at, editedAt, words, isMine }, isNew }: SaidProps) => (
  <>
    <p>
      <span className="font-semibold break-words">{isMine ? `${writer} (you)` : writer}</span>{' '}
      <time dateTime={at} className="text-xs text-quiet">
        {when.format(new Date(at))}
        {editedAt !== undefined && ', edited'}
      </time>
      {isNew && <span className="ms-1 text-xs font-semibold text-primary">new</span>}
    </p>
    <p className="break-words whitespace-pre-line">{words}</p>
  </>
);

interface NoteThreadProps {
  readonly thread: Thread;
  /** Where it is pinned: a way there, or that it is gone. */
  readonly where: ReactNode;
  /** How it is written on; nothing for who only reads. */
  readonly writing: WritingNotes | undefined;
  /** Whether one may do what only whoever the system belongs to may. */
  readonly isOwner: boolean;
  /** What is later than that is new. */
  readonly seenAt?: string | undefined;
  /** Something was written: the notes are to be read again. */
  readonly onWritten: () => Promise<unknown>;
}

/** A note with its answers, and what one may do with it. */
export function NoteThread(props: NoteThreadProps) {
  const { thread, where, writing, isOwner, seenAt, onWritten } = props;
  const { note, answers } = thread;
  const [doing, setDoing] = useState<{ readonly what: 'answer' | 'edit'; readonly id: string }>();
  const [problem, setProblem] = useState<string>();
  const head = useRef<HTMLDivElement>(null);
  const isNew = ({ at, isMine }: NoteRecord): boolean =>
    !isMine && seenAt !== undefined && at > seenAt;
  const leave = (): void => {
    setDoing(undefined);
    head.current?.focus();
  };
  const run = async (work: Promise<unknown>): Promise<void> => {
    setProblem(undefined);
    try {
      await work;
      await onWritten();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'It could not be changed.');
    }
    head.current?.focus();
  };
  const acts = (one: NoteRecord): ReactNode =>
    writing && (
      <div className="flex flex-wrap gap-x-3">
        {one === note && (
          <button
            type="button"
            className="act"
            onClick={() => setDoing({ what: 'answer', id: one.id })}
          >
            Answer
          </button>
        )}
        {one === note && (isOwner || one.isMine) && (
          <button
            type="button"
            className="act"
            onClick={() => void run(writing.resolve(one.id, !one.isResolved))}
          >
            {one.isResolved ? 'Open again' : 'Resolve'}
          </button>
        )}
        {one.isMine && (
          <button
            type="button"
            className="act"
            onClick={() => setDoing({ what: 'edit', id: one.id })}
          >
            Edit
          </button>
        )}
        {(one.isMine || isOwner) && (
          <button type="button" className="act" onClick={() => void run(writing.remove(one.id))}>
            Delete
          </button>
        )}
      </div>
    );
  const shown = (one: NoteRecord): ReactNode =>
    writing && doing?.what === 'edit' && doing.id === one.id ? (
      <WordsForm
        label="your words"
        says="Keep"
        start={one.words}
        onLeave={leave}
        onSay={async (words) => {
          await writing.edit(one.id, words);
          await onWritten();
          leave();
        }}
      />
    ) : (
      <>
        <Said note={one} isNew={isNew(one)} />
        {acts(one)}
      </>
    );
  return (
    <article aria-label={`${note.kind} of ${note.writer}`} className="border-t border-line py-2">
      <div
        ref={head}
        tabIndex={-1}
        className="flex flex-wrap items-baseline justify-between gap-x-3 text-quiet"
      >
        <span>
          {note.kind}
          {note.isResolved && ', resolved'}
        </span>
        {where}
      </div>
      {shown(note)}
      {answers.length > 0 && (
        <ol aria-label="Answers" className="ms-3 border-s border-line ps-3">
          {answers.map((answer) => (
            <li key={answer.id} className="pt-1">
              {shown(answer)}
            </li>
          ))}
        </ol>
      )}
      {writing && doing?.what === 'answer' && (
        <WordsForm
          label="your answer"
          says="Send"
          onLeave={leave}
          onSay={async (words) => {
            await writing.add(crypto.randomUUID(), { words, answers: note.id });
            await onWritten();
            leave();
          }}
        />
      )}
      {problem !== undefined && (
        <p role="alert" className="text-error">
          {problem}
        </p>
      )}
    </article>
  );
}
