import { App, Button } from 'antd';
import { useState } from 'react';
import { useSetPhrase } from '../data/access';
import { Refusal } from '../data/client';
import { Field } from '../parts/Field';
import { useFailed } from '../parts/useFailed';

/** Sets the pass phrase. It is typed once and can be looked at: there is nobody behind who sets it at home. */
export function PhraseForm({ isSet }: { isSet: boolean }) {
  const [phrase, setPhrase] = useState('');
  const [old, setOld] = useState('');
  const [shown, setShown] = useState(false);
  const set = useSetPhrase();
  const { message } = App.useApp();
  const failed = useFailed();
  const problem = (field: string) =>
    set.error instanceof Refusal ? set.error.errors.find((e) => e.field === field)?.message : undefined;
  return (
    <form
      className="form-grid"
      onSubmit={(e) => {
        e.preventDefault();
        set.mutate(isSet ? { phrase, old } : { phrase }, {
          onSuccess: () => {
            setPhrase('');
            setOld('');
            void message.success(
              isSet ? 'Pass phrase changed. All other devices must log in again.' : 'The pass phrase is set.',
            );
          },
          onError: (refused) => {
            if (!(refused instanceof Refusal) || refused.errors.length === 0) {
              failed(refused.message);
            }
          },
        });
      }}
    >
      {isSet && (
        <div className="span2">
          <Field
            name="old"
            label="Current pass phrase"
            type="password"
            value={old}
            onChange={setOld}
            problem={problem('old')}
          />
        </div>
      )}
      <div className="span2">
        <Field
          name="phrase"
          label={isSet ? 'New pass phrase' : 'Pass phrase'}
          type={shown ? 'text' : 'password'}
          value={phrase}
          onChange={setPhrase}
          problem={problem('phrase')}
          hint="At least 10 characters. Several unrelated words are easy to type on a phone."
          suffix={
            <button type="button" className="in-field" onClick={() => setShown(!shown)}>
              {shown ? 'hide' : 'show'}
            </button>
          }
        />
      </div>
      <div className="span2 buttons beside-field">
        <Button
          type="primary"
          htmlType="submit"
          disabled={phrase === '' || (isSet && old === '')}
          loading={set.isPending}
        >
          {isSet ? 'Change' : 'Save'}
        </Button>
      </div>
    </form>
  );
}
