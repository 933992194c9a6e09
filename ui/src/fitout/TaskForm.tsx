import { Button, Select } from 'antd';
import { type FormEvent, useState } from 'react';
import { Refusal } from '../data/client';
import { type JobTask, type RoofPlan, useFitout, useKeepPlan, useRoofPlan } from '../data/fitout';
import { useStored } from '../data/useStored';
import { typedNumber } from '../format/typed';
import { Field, FieldFrame } from '../parts/Field';
import { Failed } from '../parts/Loaded';
import { useKeep } from '../parts/useClash';
import { useUndo } from '../parts/useUndo';

type Own = RoofPlan['tasks'][number];

const MIN_PER_H = 60;

/** Changes the tasks of a plan that are put in by hand; the previous ones can be brought back. */
function useTasks(id: number) {
  const view = useRoofPlan(id).data;
  const mutation = useKeepPlan(id);
  const keep = useKeep(mutation);
  const undoable = useUndo();
  return {
    tasks: view?.plan.tasks ?? [],
    error: mutation.error,
    isPending: mutation.isPending,
    put: (tasks: Own[], said: string | null, done: () => void) => {
      if (view) {
        const before = view.plan;
        keep({ body: { ...before, tasks }, version: view.version }, () => {
          done();
          if (said !== null) {
            undoable(said, () => mutation.mutateAsync({ body: before, version: view.version + 1 }));
          }
        });
      }
    },
  };
}

interface Typed {
  name: string;
  minutes: string;
  people: string;
  waitH: string;
  weather: string;
  after: string[];
  before: string[];
}

const FIRST: Typed = {
  name: '',
  minutes: '30',
  people: '1',
  waitH: '0',
  weather: 'any',
  after: [],
  before: [],
};

function ownOf(key: string, typed: Typed, name: string | null): Own | string {
  const [minutes, people, waitH] = [typed.minutes, typed.people, typed.waitH].map(typedNumber) as [
    number,
    number,
    number,
  ];
  if (name?.trim() === '') {
    return 'Enter what is to be done.';
  }
  if (![minutes, people, waitH].every(Number.isFinite)) {
    return 'Minutes, people and hours must be numbers.';
  }
  return {
    key,
    name,
    minutes: Math.round(minutes),
    people: Math.round(people),
    waitMin: Math.round(waitH * MIN_PER_H),
    weather: typed.weather,
    after: typed.after,
    before: typed.before,
  };
}

/** What a task takes here; of one’s own all of it. */
export function ChangeTask(props: { plan: number; task: JobTask; tasks: JobTask[]; close: () => void }) {
  const { task, close } = props;
  const kept = useTasks(props.plan);
  const own = kept.tasks.find((t) => t.key === task.key);
  const isOwn = own != null && own.name !== null;
  const [typed, setTyped] = useState<Typed>({
    ...FIRST,
    name: task.name,
    minutes: String(task.minutes),
    people: String(task.people),
    waitH: String(task.waitMin / MIN_PER_H),
    weather: own?.weather ?? 'any',
    after: own?.after ?? [],
    before: own?.before ?? [],
  });
  const others = kept.tasks.filter((t) => t.key !== task.key);
  return (
    <TaskFields
      typed={typed}
      change={setTyped}
      tasks={props.tasks.filter((t) => t.key !== task.key)}
      whole={isOwn}
      error={kept.error}
      isPending={kept.isPending}
      save={() => {
        const made = ownOf(task.key, typed, isOwn ? typed.name : null);
        if (typeof made === 'string') {
          return made;
        }
        kept.put([...others, made], null, close);
        return null;
      }}
      saveLabel="Save"
      actions={
        <>
          {own && (
            <Button
              onClick={() =>
                kept.put(others, isOwn ? `Removed “${task.name}”.` : `Reset “${task.name}”.`, close)
              }
            >
              {isOwn ? 'Remove' : 'Reset'}
            </Button>
          )}
          <Button type="text" onClick={close}>
            Close
          </Button>
        </>
      }
    />
  );
}

/** A task that this build has and others do not. */
export function AddTask({ plan, tasks }: { plan: number; tasks: JobTask[] }) {
  const kept = useTasks(plan);
  const [open, setOpen] = useState(false);
  const [typed, setTyped, forget] = useStored<Typed>(`fitout.task.${plan}`, FIRST);
  if (!open) {
    return (
      <div className="buttons no-print">
        <Button onClick={() => setOpen(true)}>Add a task</Button>
      </div>
    );
  }
  return (
    <TaskFields
      typed={typed}
      change={setTyped}
      tasks={tasks}
      whole
      error={kept.error}
      isPending={kept.isPending}
      save={() => {
        const made = ownOf(free(kept.tasks), typed, typed.name);
        if (typeof made === 'string') {
          return made;
        }
        kept.put([...kept.tasks, made], `Added “${typed.name.trim()}”.`, () => {
          forget();
          setOpen(false);
        });
        return null;
      }}
      saveLabel="Add the task"
      actions={
        <Button type="text" onClick={() => setOpen(false)}>
          Close
        </Button>
      }
    />
  );
}

/** A key that no task has. */
function free(tasks: Own[]): string {
  const taken = new Set(tasks.map((t) => t.key));
  let n = tasks.length + 1;
  while (taken.has(`own-${n}`)) {
    n++;
  }
  return `own-${n}`;
}

function TaskFields(props: {
  typed: Typed;
  change: (typed: Typed) => void;
  tasks: JobTask[];
  /** Whether name, weather and place in the order are changed too. */
  whole: boolean;
  /** Saves it, or says what is wrong with it. */
  save: () => string | null;
  saveLabel: string;
  isPending: boolean;
  error: Error | null;
  actions: React.ReactNode;
}) {
  const { typed, change, whole } = props;
  const weathers = useFitout().data?.weathers ?? [];
  const [problem, setProblem] = useState<string | null>(null);
  const set = (part: Partial<Typed>) => change({ ...typed, ...part });
  const others = props.tasks.map((t) => ({ value: t.key, label: t.name }));
  const choice = (key: 'after' | 'before', label: string) => (
    <FieldFrame id={`task-${key}`} label={label} className="wide">
      <Select
        id={`task-${key}`}
        mode="multiple"
        value={typed[key]}
        options={others}
        optionFilterProp="label"
        onChange={(keys: string[]) => set({ [key]: keys })}
      />
    </FieldFrame>
  );
  return (
    <form
      className="task-form no-print"
      onSubmit={(e: FormEvent) => {
        e.preventDefault();
        setProblem(props.save());
      }}
    >
      <div className="form-grid">
        {whole && (
          <Field
            name="task-name"
            label="Task"
            value={typed.name}
            onChange={(name) => set({ name })}
            className="wide"
          />
        )}
        <Field
          name="task-minutes"
          label="Takes"
          unit="min"
          numeric
          value={typed.minutes}
          onChange={(minutes) => set({ minutes })}
        />
        <Field
          name="task-people"
          label="People"
          numeric
          value={typed.people}
          onChange={(people) => set({ people })}
        />
        <Field
          name="task-wait"
          label="Wait afterwards"
          unit="h"
          numeric
          value={typed.waitH}
          onChange={(waitH) => set({ waitH })}
        />
        {whole && (
          <>
            <FieldFrame id="task-weather" label="Weather">
              <Select
                id="task-weather"
                value={typed.weather}
                options={weathers.map((w) => ({ value: w.key, label: w.label === '' ? 'any' : w.label }))}
                onChange={(weather: string) => set({ weather })}
              />
            </FieldFrame>
            {choice('after', 'Comes after')}
            {choice('before', 'Comes before')}
          </>
        )}
      </div>
      {(problem ?? (props.error instanceof Refusal ? props.error.message : null)) !== null && (
        <p className="loss" role="alert">
          {problem ?? props.error?.message}
        </p>
      )}
      {props.error !== null && !(props.error instanceof Refusal) && <Failed error={props.error} />}
      <div className="buttons">
        <Button type="primary" htmlType="submit" loading={props.isPending}>
          {props.saveLabel}
        </Button>
        {props.actions}
      </div>
    </form>
  );
}
