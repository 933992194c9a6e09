// @vitest-environment jsdom
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { asked, bodies, Refused, serve } from '../testing/server';
import { show } from '../testing/show';
import { InAndOut } from './InAndOut';
import { StayPage } from './StayPage';

const PAGE = {
  stay: 7,
  note: 'by the alder',
  version: 2,
  photos: [{ id: 5, caption: null, widthPx: 400, heightPx: 300 }],
};

describe('the page of a stay', () => {
  it('keeps what is typed until it is kept', async () => {
    const user = userEvent.setup();
    serve({ 'GET /api/stays/7/page': PAGE, 'PUT /api/stays/7/note': { ...PAGE, version: 3 } });
    const first = show(<StayPage stay={7} />);
    await user.type(await screen.findByLabelText('Note of this stay'), ', mast in sight');
    first.unmount();
    show(<StayPage stay={7} />);
    expect(await screen.findByDisplayValue('by the alder, mast in sight')).toBeDefined();
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() =>
      expect(bodies('PUT /api/stays/7/note')).toEqual([{ note: 'by the alder, mast in sight' }]),
    );
    expect(asked.find((a) => a.call.startsWith('PUT'))?.query).toBe('?version=2');
  });

  it('loses no note that another device changed first', async () => {
    const user = userEvent.setup();
    localStorage.clear();
    serve({
      'GET /api/stays/7/page': PAGE,
      'PUT /api/stays/7/note': new Refused(409, { detail: 'changed meanwhile', current: { version: 3 } }),
    });
    show(<StayPage stay={7} />);
    await user.type(await screen.findByLabelText('Note of this stay'), '!');
    await user.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByRole('alert')).toBeDefined();
    expect(screen.getByDisplayValue('by the alder!')).toBeDefined();
  });

  it('has photos with captions, and gives back one that was taken away', async () => {
    const user = userEvent.setup();
    serve({
      'GET /api/stays/7/page': PAGE,
      'PUT /api/stays/7/photos/5/caption': PAGE,
      'DELETE /api/stays/7/photos/5': { ...PAGE, photos: [] },
      'POST /api/stays/7/photos/5/restored': PAGE,
    });
    show(<StayPage stay={7} />);
    expect((await screen.findByAltText('Photo 1 of this stay')).getAttribute('src')).toBe(
      '/api/stays/7/photos/5',
    );
    await user.type(screen.getByLabelText('Caption of photo 1'), 'the mast');
    await user.tab();
    await waitFor(() =>
      expect(bodies('PUT /api/stays/7/photos/5/caption')).toEqual([{ caption: 'the mast' }]),
    );
    await user.click(screen.getByRole('button', { name: 'Delete' }));
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(asked.map((a) => a.call)).toContain('POST /api/stays/7/photos/5/restored'));
  });

  it('says that it waits while Syntoma is away', async () => {
    serve({});
    show(<StayPage stay={7} />);
    expect(await screen.findByText(/once Syntoma answers again/)).toBeDefined();
  });
});

const upload = async (name: string, text: string) => {
  const user = userEvent.setup({ applyAccept: false });
  show(<InAndOut />);
  await user.click(screen.getByText('Stays, towers, everything'));
  await user.upload(
    screen.getByLabelText('A file of stays or towers, or an archive'),
    new File([text], name),
  );
  return user;
};

describe('files', () => {
  it('of stays are taken in, and what was refused is listed with its reason', async () => {
    serve({
      'POST /api/export.gpx': {
        accepted: 2,
        duplicates: 1,
        createdCampsites: 1,
        rejected: [{ item: 4, name: 'Nowhere', message: 'lat is 91; allowed is −90 to 90' }],
      },
    });
    await upload('trip.GPX', '<gpx/>');
    expect(await screen.findByText(/2 imported, 1 already there, 1 not:/)).toBeDefined();
    expect(screen.getByText(/Nowhere: lat is 91/)).toBeDefined();
  });

  it('that are archives replace all, which is asked first', async () => {
    serve({ 'POST /api/archive': { rows: 1_200, photos: 1, keptAs: 'before.zip' } });
    const user = await upload('mine.zip', 'PK');
    expect(asked).toHaveLength(0);
    await user.click(await screen.findByRole('button', { name: 'Restore' }));
    expect(await screen.findByText(/saved as before.zip/)).toBeDefined();
    expect(asked.find((a) => a.call === 'POST /api/archive')?.query).toBe('?replace=true');
  });

  it('of other kinds are not sent', async () => {
    serve({});
    await upload('photo.heic', 'x');
    expect(await screen.findByText(/photo.heic: allowed are .gpx/)).toBeDefined();
    expect(asked).toHaveLength(0);
  });
});
