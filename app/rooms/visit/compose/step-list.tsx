import { moveStep, removeStep, replaceStep, stepsOf, type Routine } from '../../../../core/routine';
import { PHASE_NAMES } from '../../../../core/words';
import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { useCatalogue } from '../../../parts/catalogue/catalogue';
import { StepRow } from './step-row';

interface Props {
  routine: Routine;
  stepSeconds: readonly number[];
  flags: ReadonlyMap<string, 'stop' | 'warn'>;
  chosen: string | null;
  disabled: boolean;
  onChoose: (id: string | null) => void;
  onEdit: (next: Routine) => void;
}

export function StepList({ routine, stepSeconds, flags, chosen, disabled, onChoose, onEdit }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const { techniques } = useCatalogue();
  const steps = stepsOf(routine);
  const indexOf = (id: string) => steps.findIndex((s) => s.id === id);
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
          {steps.map((step, i) => {
            const technique = techniques.get(step.technique);
            if (!technique) return null;
            const before = techniques.get(steps[i - 1]?.technique ?? '');
            return (
              <div key={step.id}>
                {before?.phase !== technique.phase && <div className="phase-name">{PHASE_NAMES[technique.phase]}</div>}
                <StepRow
                  step={step}
                  number={i + 1}
                  technique={technique}
                  seconds={stepSeconds[i] ?? 0}
                  flag={flags.get(step.id)}
                  chosen={chosen === step.id}
                  disabled={disabled}
                  onChoose={() => onChoose(chosen === step.id ? null : step.id)}
                  onChange={(next) => onEdit(replaceStep(routine, step.id, () => next))}
                  onMove={(by) => onEdit(moveStep(routine, step.id, i + by))}
                  onRemove={() => onEdit(removeStep(routine, step.id))}
                />
              </div>
            );
          })}
        </div>
      </SortableContext>
    </DndContext>
  );
}
