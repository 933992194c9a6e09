import { Select } from 'antd';
import { type Template, useTemplates } from '../data/design';
import { Part } from '../parts/Sheet';

/** A trial that is made again and again, filled in from what is on board. */
export function StartFrom(props: { chosen: string; choose: (template: Template) => void }) {
  const templates = useTemplates().data ?? [];
  const chosen = templates.find((t) => t.key === props.chosen);
  return (
    <Part title="What do you want to know?" small="filled in from your gear; change what you like">
      <Select
        className="start-from"
        aria-label="Start from a common trial"
        placeholder="Start from a common trial, or put your own together below"
        value={chosen?.key}
        onChange={(key: string) => {
          const template = templates.find((t) => t.key === key);
          if (template) {
            props.choose(template);
          }
        }}
        options={templates.map((t) => ({
          value: t.key,
          disabled: t.lacking !== null,
          label: (
            <>
              <b>{t.label}</b> <span className="small">{t.lacking ?? t.question}</span>
            </>
          ),
        }))}
      />
      {chosen?.lacking && <p className="loss">{chosen.lacking}</p>}
      {chosen?.notes.map((note) => (
        <p className="small" key={note}>
          {note}
        </p>
      ))}
    </Part>
  );
}
