import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { type Change, useChangeNeed } from '../data/rig';
import { plain, short } from '../format/numbers';
import { useKeep } from '../parts/useClash';
import { NeedEditor } from './NeedEditor';

type Need = Schemas['NeedView'];

const changed = ({ version, ...body }: Need): Change<Schemas['NeedRequest']> => ({ body, version });

/** One need: ticked, or opened to be changed. */
export function NeedRow({ need, partsOfDay }: { need: Need; partsOfDay: string[] }) {
  const [editing, setEditing] = useState(false);
  const keep = useKeep(useChangeNeed());
  if (editing) {
    return (
      <NeedEditor
        need={need}
        partsOfDay={partsOfDay}
        put={(n, done) => keep(changed(n), done)}
        close={() => setEditing(false)}
      />
    );
  }
  return (
    <tr>
      <td>
        <Checkbox
          checked={need.chosen}
          onChange={(e) => keep(changed({ ...need, chosen: e.target.checked }))}
        >
          {need.name}
        </Checkbox>
      </td>
      <td className="num" data-label="Down">
        {need.downMbps === null ? '–' : `${short(need.downMbps)} Mb/s`}
      </td>
      <td className="num" data-label="Up">
        {need.upMbps === null ? '–' : `${short(need.upMbps)} Mb/s`}
      </td>
      <td className="num" data-label="Under load">
        {need.loadedMs === null ? '–' : `${plain(need.loadedMs)} ms`}
      </td>
      <td className="num" data-label="Loss">
        {need.lossPct === null ? '–' : `${plain(need.lossPct)} %`}
      </td>
      <td data-label="When">
        {need.partOfDay}, {plain(need.hoursADay)} h a day
      </td>
      <td className="num" data-label="">
        <Button type="link" size="small" aria-label={`Change ${need.name}`} onClick={() => setEditing(true)}>
          Change
        </Button>
      </td>
    </tr>
  );
}
