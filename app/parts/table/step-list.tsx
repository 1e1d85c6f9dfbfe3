import {
  BLOCK_WORDS,
  copySteps,
  dissolveBlock,
  mirrorSteps,
  moveStep,
  removeStep,
  replaceStep,
  setBlockSides,
  type Block,
  type Routine,
  type Step,
} from '../../../core/routine';
import type { RuleFinding } from '../../../core/rules';
import { PHASE_NAMES } from '../../../core/words';
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { ReactNode } from 'react';
import { useCatalogue } from '../catalogue/catalogue';
import { FindingLine } from './finding-line';
import { StepRow } from './step-row';
import { StepSentence } from './step/step-sentence';

interface Props {
  routine: Routine;
  stepSeconds: readonly number[];
  flags: ReadonlyMap<string, 'stop' | 'warn'>;
  findings: readonly RuleFinding[];
  chosen: string | null;
  picked: ReadonlySet<string>;
  picking: boolean;
  disabled: boolean;
  onChoose: (id: string | null) => void;
  onPick: (id: string, through: boolean) => void;
  onPicking: (on: boolean) => void;
  onEdit: (next: Routine) => void;
  onFix: (finding: RuleFinding) => void;
}

/** The routine as a table: phases in the gutter, findings under their step, the open step under its row. */
export function StepList(props: Props) {
  const { routine, onEdit } = props;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const { techniques } = useCatalogue();
  const steps = routine.items.flatMap((item) => (item.kind === 'block' ? item.steps : [item]));
  const indexOf = (id: string) => steps.findIndex((s) => s.id === id);
  const row = (step: Step): ReactNode => {
    const i = indexOf(step.id);
    const technique = techniques.get(step.technique);
    if (!technique) return null;
    const before = techniques.get(steps[i - 1]?.technique ?? '');
    return (
      <div key={step.id} className="step-line">
        <div className="phase-name">{before?.phase !== technique.phase && PHASE_NAMES[technique.phase]}</div>
        <TableRow {...props} step={step} index={i} />
      </div>
    );
  };
  return (
    <DndContext
      id="routine"
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (over && active.id !== over.id) onEdit(moveStep(routine, String(active.id), indexOf(String(over.id))));
      }}
    >
      <SortableContext items={steps.map((s) => s.id)} strategy={verticalListSortingStrategy}>
        <div className="steps">
          {routine.items.map((item) =>
            item.kind === 'step' ? (
              row(item)
            ) : (
              <div key={item.id} className="step-block" role="group" aria-label={BLOCK_WORDS[item.sides]}>
                <BlockMark block={item} {...props} />
                {item.steps.map(row)}
              </div>
            ),
          )}
        </div>
      </SortableContext>
    </DndContext>
  );
}

/** What the bracket means, and what can be done with it. */
function BlockMark({ block, routine, disabled, onEdit }: Props & { block: Block }) {
  return (
    <div className="block-mark">
      <select
        aria-label="Which side of the block comes first"
        value={block.sides}
        disabled={disabled}
        onChange={(e) =>
          onEdit(
            e.target.value === 'dissolve'
              ? dissolveBlock(routine, block.id)
              : setBlockSides(routine, block.id, e.target.value as Block['sides']),
          )
        }
      >
        {Object.entries(BLOCK_WORDS).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
        <option value="dissolve">dissolve the block</option>
      </select>
      <span aria-hidden="true">{BLOCK_WORDS[block.sides]}</span>
    </div>
  );
}

function TableRow({
  step,
  index,
  routine,
  stepSeconds,
  flags,
  findings,
  chosen,
  picked,
  picking,
  disabled,
  onChoose,
  onPick,
  onPicking,
  onEdit,
  onFix,
}: Props & { step: Step; index: number }) {
  const { techniques } = useCatalogue();
  const technique = techniques.get(step.technique)!;
  const seconds = stepSeconds[index] ?? 0;
  const isOpen = chosen === step.id && !picked.size;
  const change = (next: Step) => onEdit(replaceStep(routine, step.id, () => next));
  return (
    <StepRow
      step={step}
      number={index + 1}
      technique={technique}
      seconds={seconds}
      flag={flags.get(step.id)}
      isOpen={isOpen}
      isPicked={picked.has(step.id)}
      disabled={disabled}
      onOpen={() => onChoose(isOpen ? null : step.id)}
      onPick={(through) => onPick(step.id, through)}
      onChange={change}
    >
      {findings
        .filter((f) => f.stepIds[0] === step.id)
        .map((f, i) => (
          <FindingLine
            key={`${f.rule}-${i}`}
            finding={f}
            under={step.label ?? technique.name}
            disabled={disabled}
            onFix={() => onFix(f)}
          />
        ))}
      {isOpen && (
        <StepSentence
          step={step}
          technique={technique}
          seconds={seconds}
          picking={picking}
          onPicking={onPicking}
          onChange={change}
          onCopy={() => onEdit(copySteps(routine, new Set([step.id])))}
          onMirror={() => onEdit(mirrorSteps(routine, new Set([step.id])))}
          onRemove={() => onEdit(removeStep(routine, step.id))}
        />
      )}
    </StepRow>
  );
}
