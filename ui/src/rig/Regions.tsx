import { AutoComplete, Button, Input, Select } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../data/client';
import { useCarriers } from '../data/names';
import { useChangeRegion } from '../data/rig';
import { useFailed } from '../parts/useFailed';

type Region = Schemas['RegionView'];

/** Each carrier's bands by region. */
export function Regions({ regions }: { regions: Region[] }) {
  const put = useChangeRegion();
  const failed = useFailed();
  const onError = (refused: Error) => failed(refused.message);
  const carriers = useCarriers().data ?? [];
  const [fresh, setFresh] = useState<Region>({ carrier: '', region: '', bands: [] });
  return (
    <>
      {regions.map((r) => (
        <div className="region" key={`${r.carrier} ${r.region}`}>
          <div>
            <b>{r.carrier}</b> <span className="small">{r.region}</span>
          </div>
          <Bands
            value={r.bands}
            label={`Bands of ${r.carrier}, ${r.region}`}
            set={(bands) => put.mutate({ ...r, bands }, { onError })}
          />
        </div>
      ))}
      <div className="region">
        <div className="pair alike">
          <AutoComplete
            aria-label="Carrier of the new region"
            placeholder="carrier"
            value={fresh.carrier}
            options={carriers.map((c) => ({ value: c.name }))}
            onChange={(carrier: string) => setFresh({ ...fresh, carrier })}
          />
          <Input
            aria-label="Name of the new region"
            placeholder="region"
            value={fresh.region}
            onChange={(e) => setFresh({ ...fresh, region: e.target.value })}
          />
        </div>
        <div className="pair">
          <Bands
            value={fresh.bands}
            label="Bands of the new region"
            set={(bands) => setFresh({ ...fresh, bands })}
          />
          <Button
            disabled={!fresh.carrier.trim() || !fresh.region.trim() || fresh.bands.length === 0}
            onClick={() =>
              put.mutate(fresh, {
                onError,
                onSuccess: () => setFresh({ carrier: '', region: '', bands: [] }),
              })
            }
          >
            Add
          </Button>
        </div>
      </div>
    </>
  );
}

function Bands(props: { value: string[]; label: string; set: (bands: string[]) => void }) {
  return (
    <Select
      mode="tags"
      aria-label={props.label}
      placeholder="B20, n78 …"
      value={props.value}
      tokenSeparators={[',', ' ', ';']}
      open={false}
      suffixIcon={null}
      onChange={props.set}
    />
  );
}
