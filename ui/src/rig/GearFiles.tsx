import { Button } from 'antd';
import { useRef, useState } from 'react';
import type { Schemas } from '../data/client';
import { useImportGear } from '../data/rig';
import { Part } from '../parts/Sheet';
import { count } from '../format/numbers';
import { useFailed } from '../parts/useFailed';

/** Gear in and out as a file. */
export function GearFiles() {
  const take = useImportGear();
  const failed = useFailed();
  const input = useRef<HTMLInputElement>(null);
  const [report, setReport] = useState<Schemas['GearImport']>();
  const read = async (file: File) => {
    try {
      const body = JSON.parse(await file.text()) as Schemas['GearFileRequest'];
      setReport(await take.mutateAsync(body));
    } catch (refused) {
      setReport(undefined);
      failed(
        refused instanceof SyntaxError ? `${file.name} is no JSON file.` : String((refused as Error).message),
      );
    }
  };
  return (
    <Part title="Import and export">
      <div className="buttons">
        <Button onClick={() => input.current?.click()}>Import gear</Button>
        <a href="/api/gear.json" download="gear.json">
          Export gear
        </a>
      </div>
      <input
        ref={input}
        type="file"
        hidden
        accept=".json,application/json"
        aria-label="File of gear"
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          e.target.value = '';
          if (file) {
            void read(file);
          }
        }}
      />
      {report && (
        <div role="status">
          <p>
            {count(report.accepted, 'new item')}, {report.duplicates} already there, {report.rejected.length}{' '}
            refused.
          </p>
          {report.rejected.slice(0, 20).map((r) => (
            <div className="note loss" key={r.item}>
              {r.name || `item ${r.item}`}: {r.message}
            </div>
          ))}
        </div>
      )}
    </Part>
  );
}
