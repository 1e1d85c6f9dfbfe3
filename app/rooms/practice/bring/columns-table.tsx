import { Form as BsForm } from 'react-bootstrap';
import { COLUMNS, type Filled, type TableKind } from './columns';

const NOT_THERE = '';
const EVERY_ROW = 'every-row:';
const SAMPLES = 3;

/** Which column of the file is which of ours, each with what stands in its first rows. */
export function ColumnsTable({
  kind,
  head,
  rows,
  filled,
  onChange,
}: {
  kind: TableKind;
  head: readonly string[];
  rows: readonly (readonly string[])[];
  filled: readonly Filled[];
  onChange: (filled: Filled[]) => void;
}) {
  const set = (field: string, value: string) =>
    onChange(
      filled.map((f) =>
        f.field !== field
          ? f
          : value.startsWith(EVERY_ROW)
            ? { field, column: null, fixed: value.slice(EVERY_ROW.length) }
            : { field, column: value === NOT_THERE ? null : value, fixed: null },
      ),
    );
  const sampleOf = (column: string): string =>
    rows
      .map((r) => r[head.indexOf(column)] ?? '')
      .filter(Boolean)
      .slice(0, SAMPLES)
      .join(' · ');
  return (
    <div className="table-wrap" tabIndex={0} role="region" aria-label="Columns">
      <table className="table table-sm bring-columns">
        <thead>
          <tr>
            <th scope="col">Here</th>
            <th scope="col">In the file</th>
            <th scope="col">First rows</th>
          </tr>
        </thead>
        <tbody>
          {COLUMNS[kind].map(({ field, name, words, needed, fixed }) => {
            const { column, fixed: every } = filled.find((f) => f.field === field)!;
            return (
              <tr key={field}>
                <th scope="row">
                  <span className="name">{name}</span>
                  {words && <span className="soft">{words}</span>}
                </th>
                <td>
                  <BsForm.Select
                    size="sm"
                    aria-label={`${name}: in the file`}
                    value={column ?? (every === null ? NOT_THERE : `${EVERY_ROW}${every}`)}
                    onChange={(e) => set(field, e.target.value)}
                  >
                    <option value={NOT_THERE}>{needed ? 'choose' : 'not in the file'}</option>
                    {head.map((h, i) => (
                      <option key={`${i} ${h}`} value={h}>
                        {h || `column ${i + 1}`}
                      </option>
                    ))}
                    {fixed && (
                      <optgroup label="the same in every row">
                        {fixed.map(([value, label]) => (
                          <option key={value} value={`${EVERY_ROW}${value}`}>
                            {label}
                          </option>
                        ))}
                      </optgroup>
                    )}
                  </BsForm.Select>
                </td>
                <td className="soft sample">{column === null ? '' : sampleOf(column)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
