import { Button } from 'antd';
import { Refusal } from '../data/client';
import { useKeepMast } from '../data/aim';
import { useStored } from '../data/useStored';
import { typedOrNone } from '../format/typed';
import { Field } from '../parts/Field';
import { Failed } from '../parts/Loaded';

const EMPTY = { name: '', carrier: '', lat: '', lon: '' };

/** A tower whose place is known. */
export function MastForm() {
  const [typed, setTyped, clear] = useStored('aim.mast', EMPTY);
  const keep = useKeepMast();
  const problem = (field: string) =>
    keep.error instanceof Refusal ? keep.error.errors.find((e) => e.field === field)?.message : undefined;
  const set = (part: Partial<typeof EMPTY>) => setTyped({ ...typed, ...part });
  return (
    <details className="numbers">
      <summary>A tower that you know</summary>
      <form
        className="mast-form"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate(
            {
              name: typed.name,
              carrier: typed.carrier || null,
              cellId: null,
              lat: typedOrNone(typed.lat),
              lon: typedOrNone(typed.lon),
            },
            { onSuccess: clear },
          );
        }}
      >
        <Field
          name="mast-name"
          label="Name"
          value={typed.name}
          onChange={(name) => set({ name })}
          problem={problem('name')}
        />
        <Field
          name="mast-carrier"
          label="Carrier"
          value={typed.carrier}
          onChange={(carrier) => set({ carrier })}
          problem={problem('carrier')}
        />
        <Field
          name="mast-lat"
          label="Latitude"
          unit="°"
          numeric
          value={typed.lat}
          onChange={(lat) => set({ lat })}
          problem={problem('lat')}
        />
        <Field
          name="mast-lon"
          label="Longitude"
          unit="°"
          numeric
          value={typed.lon}
          onChange={(lon) => set({ lon })}
          problem={problem('lon')}
        />
        <Button htmlType="submit" loading={keep.isPending}>
          Save tower
        </Button>
      </form>
      {keep.error && !(keep.error instanceof Refusal) && <Failed error={keep.error} />}
    </details>
  );
}
