import { useState } from 'react';
import { Button, Form as BsForm, ProgressBar } from 'react-bootstrap';
import { CSV_DELIMITERS, firstRows } from '../../../../core/exchange';
import { counted } from '../../../../core/words';
import { type FileWays, TableWays } from '../../../parts/fields/table-ways';
import { Failed } from '../../../parts/frame/failed';
import { ColumnsTable } from './columns-table';
import { type Filled, firstMapping, missingOf, type TableKind } from './columns';
import { OutcomeOf } from './outcome';
import { useBring } from './use-bring';

/** How a table was brought in the last time, by what it was of. */
export type KeptMappings = Readonly<Record<string, { ways: Partial<SheetWays>; columns: Filled[] }>>;
interface SheetWays extends FileWays {
  /** A day that says no time means its noon. */
  dayAlone: boolean;
}
/** So much of a file is looked at here; the rest on the server. */
const HEAD_BYTES = 65_536;
const ROWS = 6;
const NO_WAYS: SheetWays = { delimiter: ',', decimal: '', dates: '', dayAlone: false };

/** The sign that the first line has most of: only this can be seen, numbers and days are asked for. */
function seenDelimiter(text: string): FileWays['delimiter'] {
  const first = text.split(/[\r\n]/, 1)[0] ?? '';
  const count = (d: string) => first.split(d).length;
  return CSV_DELIMITERS.reduce((best, d) => (count(d) > count(best) ? d : best), CSV_DELIMITERS[0]);
}

/** A file of somebody: what it is, how it is written, what it would come to; only then is it brought in. */
export function BringIn({ kept, timeZone }: { kept: KeptMappings; timeZone: string }) {
  const [file, setFile] = useState<File | null>(null);
  const [text, setText] = useState('');
  const [kind, setKind] = useState<TableKind>('readings');
  const [ways, setWays] = useState<SheetWays>(NO_WAYS);
  const [filled, setFilled] = useState<Filled[]>([]);
  const { stage, failed, run, stop, anew } = useBring();
  const isArchive = file !== null && /\.zip$/i.test(file.name);
  const [head = [], ...rows] = isArchive ? [] : firstRows(text, ways.delimiter, ROWS);

  const begin = (of: string, what: TableKind, { delimiter }: FileWays) => {
    const [first = []] = firstRows(of, delimiter, 1);
    setFilled(firstMapping(what, first, kept[what]?.columns ?? null));
  };
  const choose = async (chosen: File | null) => {
    anew();
    if (!chosen || /\.zip$/i.test(chosen.name)) return setFile(chosen);
    const start = await chosen.slice(0, HEAD_BYTES).text();
    const first = { ...NO_WAYS, ...kept[kind]?.ways, delimiter: seenDelimiter(start) };
    setFile(chosen);
    setText(start);
    setWays(first);
    begin(start, kind, first);
  };
  const setKindAnew = (what: TableKind) => {
    anew();
    setKind(what);
    const first = { ...ways, ...kept[what]?.ways, delimiter: ways.delimiter };
    setWays(first);
    begin(text, what, first);
  };
  const change = (of: Partial<SheetWays>) => {
    anew();
    const next = { ...ways, ...of };
    setWays(next);
    if (next.delimiter !== ways.delimiter) begin(text, kind, next);
  };
  const missing = [
    ...(kind === 'readings' && !ways.decimal ? ['how numbers are written'] : []),
    ...(kind === 'readings' && !ways.dates ? ['how days are written'] : []),
    ...missingOf(kind, filled).map((name) => `the column for “${name}”`),
  ];
  const ask = (keeps: boolean) => {
    const { delimiter, decimal, dates, dayAlone } = ways;
    return isArchive
      ? { keeps, what: 'archive' }
      : {
          keeps,
          what: kind,
          delimiter,
          decimal: decimal || '.',
          dates: dates || 'iso',
          dayAlone,
          columns: filled.filter((f) => f.column !== null || f.fixed !== null),
        };
  };
  const isReady = file !== null && (isArchive || missing.length === 0);
  const isBusy = stage.at === 'busy';
  const comes =
    stage.at === 'looked'
      ? Object.values(stage.outcome.kinds).reduce((n, c) => n + c.new + (isArchive ? 0 : c.changed), 0)
      : 0;

  return (
    <>
      <BsForm.Group controlId="in-file" className="narrow">
        <BsForm.Label>A table (.csv) or the archive of a practice (.zip)</BsForm.Label>
        <BsForm.Control
          type="file"
          accept=".csv,.txt,.zip"
          disabled={isBusy}
          onChange={(e) => void choose((e.target as HTMLInputElement).files?.[0] ?? null)}
        />
      </BsForm.Group>
      {file && !isArchive && (
        <fieldset disabled={isBusy} className="bring-ways">
          <legend className="h6">What stands in it</legend>
          <div className="d-flex gap-3 mb-3">
            {(['readings', 'clients'] as const).map((k) => (
              <BsForm.Check
                key={k}
                type="radio"
                name="in-kind"
                id={`in-kind-${k}`}
                label={k === 'readings' ? 'Ratings and measures' : 'Clients'}
                checked={kind === k}
                onChange={() => setKindAnew(k)}
              />
            ))}
          </div>
          <TableWays ways={ways} onChange={change} asksNumbers={kind === 'readings'} mayBeUnsaid timeZone={timeZone}>
            {kind === 'readings' && (
              <BsForm.Check
                id="in-day-alone"
                label="A day without a time means its noon"
                checked={ways.dayAlone}
                onChange={(e) => change({ dayAlone: e.target.checked })}
              />
            )}
          </TableWays>
          <ColumnsTable
            kind={kind}
            head={head}
            rows={rows}
            filled={filled}
            onChange={(next) => {
              anew();
              setFilled(next);
            }}
          />
          {missing.length > 0 && <p className="soft">Still to say: {missing.join(', ')}.</p>}
        </fieldset>
      )}
      {file && isArchive && (
        <p className="narrow soft mt-3">
          Everything of the practice that made it: clients, visits, routines, photos, trail. What is here already stays
          as it is; whoever was let go since the archive was made comes back with it.
        </p>
      )}
      <Failed words={failed} />
      {isBusy ? (
        <div className="narrow bring-busy" role="status">
          <ProgressBar now={Math.round(stage.share * 100)} aria-label={stage.words} />
          <p>
            {stage.words}: {Math.round(stage.share * 100)} %
          </p>
          <Button variant="outline-primary" onClick={stop}>
            Stop
          </Button>
        </div>
      ) : (
        file &&
        stage.at !== 'kept' && (
          <div className="d-flex gap-2 my-3">
            <Button
              variant={stage.at === 'looked' ? 'outline-primary' : 'primary'}
              disabled={!isReady}
              onClick={() => void run(file, isArchive, ask(false))}
            >
              Look at it
            </Button>
            {stage.at === 'looked' && comes > 0 && (
              <Button onClick={() => void run(file, isArchive, ask(true))}>Bring in {counted(comes, 'row')}</Button>
            )}
          </div>
        )
      )}
      {stage.at === 'looked' && (
        <section aria-label="A look at the file">
          <h2 className="h5">{comes ? 'Nothing is kept yet' : 'Nothing in it is new'}</h2>
          <OutcomeOf outcome={stage.outcome} isArchive={isArchive} />
        </section>
      )}
      {stage.at === 'kept' && (
        <section aria-label="Brought in">
          <h2 className="h5" role="status">
            Brought in
          </h2>
          <OutcomeOf outcome={stage.outcome} isArchive={isArchive} />
        </section>
      )}
    </>
  );
}
