import type { UseMutationResult } from '@tanstack/react-query';
import { Button } from 'antd';
import { useRef } from 'react';
import { Failed } from './Loaded';

/** Adds a photo: taken with the phone, or chosen; it is kept smaller, and without where it was taken. */
export function AddPhoto({ label, add }: { label: string; add: UseMutationResult<unknown, Error, Blob> }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button loading={add.isPending} onClick={() => input.current?.click()} className="no-print">
        Add a photo
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept="image/jpeg,image/png"
        aria-label={label}
        onChange={(e) => {
          const [file] = e.target.files ?? [];
          e.target.value = '';
          if (file) {
            add.mutate(file);
          }
        }}
      />
      {add.error && <Failed error={add.error} />}
    </>
  );
}
