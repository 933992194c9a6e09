import { Button, Segmented } from 'antd';
import L from 'leaflet';
import 'leaflet/dist/leaflet.css';
import { useEffect, useState } from 'react';
import { Circle, GeoJSON, MapContainer, Marker, Popup, ScaleControl, TileLayer, useMap } from 'react-leaflet';
import { Link } from 'react-router';
import type { Topology } from 'topojson-specification';
import land from 'world-atlas/land-50m.json';
import { useAim } from '../data/aim';
import type { Schemas } from '../data/client';
import { pennant } from '../draw/pennants';
import { SetupLabel } from '../draw/Pennant';
import { count, fixed, plain, short } from '../format/numbers';
import { span } from '../format/time';
import { useUnits } from '../format/units';
import { coastline } from './coastline';
import { Part } from '../parts/Sheet';
import { useAddress } from '../parts/useAddress';

type Line = Schemas['StayLine'];
type By = 'pennant' | 'level';

const LAND = coastline(land as unknown as Topology);

type Placed = Line & { lat: number; lon: number };

const placed = (stays: Line[]) => stays.filter((s): s is Placed => s.lat !== null && s.lon !== null);

/** The stays of each place, the latest first, so that none lies under another. */
function campsites(stays: Placed[]): [Placed, ...Placed[]][] {
  const places = new Map<string, [Placed, ...Placed[]]>();
  for (const stay of stays) {
    const key = `${stay.lat},${stay.lon}`;
    const there = places.get(key);
    places.set(key, there ? [...there, stay] : [stay]);
  }
  return [...places.values()];
}

/** The stays on the coastline that ships with Syntoma: by the setup that was used most, or by the level of the signal. */
export function StayMap({ view }: { view: Schemas['LogbookView'] }) {
  const [by, setBy] = useState<By>('pennant');
  const change = useAddress();
  const { system } = useUnits();
  const [edges, setEdges] = useState<string>();
  const stays = placed(view.stays);
  const masts = useAim().data?.masts ?? [];
  const points = [...stays.map((s) => [s.lat, s.lon]), ...masts.map((m) => [m.lat, m.lon])] as [
    number,
    number,
  ][];
  if (points.length === 0) {
    return (
      <p className="hollow">
        No campsite here has coordinates yet. Enter them when you arrive (<Link to="/arrive">Arrive</Link>),
        or take a file of places in.
      </p>
    );
  }
  const missing = view.stays.length - stays.length;
  return (
    <Part
      title="Map"
      small={
        <>
          {count(stays.length, 'stay')}
          {missing > 0 && `, ${missing} without coordinates`}
          {by === 'level' &&
            ` · double edge: weak or none, below ${plain(view.choices.weakBelowDbm)} dBm; plain edge: fair or better`}
          {masts.length > 0 && ' · upright triangle: a tower, hollow where it is estimated'}
        </>
      }
      actions={
        <Segmented<By>
          size="small"
          value={by}
          onChange={setBy}
          options={[
            { value: 'pennant', label: 'setup used most' },
            { value: 'level', label: 'RSRP' },
          ]}
        />
      }
    >
      <MapContainer className="stay-map" attributionControl={false} preferCanvas worldCopyJump>
        <Frame points={points} moved={setEdges} />
        <ScaleControl metric={system === 'metric'} imperial={system !== 'metric'} />
        {view.tiles === null ? (
          <GeoJSON data={LAND} interactive={false} style={landStyle()} />
        ) : (
          <TileLayer url={view.tiles} />
        )}
        {masts.map((m) => (
          <Marker
            key={`mast ${m.id}`}
            position={[m.lat, m.lon]}
            icon={mastIcon(m.estimated)}
            title={m.name}
            // a stay is not hidden by a mast
            zIndexOffset={-1_000}
          >
            <Popup>
              <b>{m.name}</b>
              <br />
              {[m.carrier, m.cellId && `cell ${m.cellId}`, m.estimated && 'estimated']
                .filter(Boolean)
                .join(', ')}
            </Popup>
          </Marker>
        ))}
        {masts.map(
          (m) =>
            m.estimated &&
            m.longM !== null && (
              <Circle
                key={`about ${m.id}`}
                center={[m.lat, m.lon]}
                radius={m.longM}
                pathOptions={{ dashArray: '4 4', fill: false, color: colour('--ink2'), weight: 1 }}
              />
            ),
        )}
        {campsites(stays).map(([first, ...earlier]) => (
          <Marker
            key={first.id}
            position={[first.lat, first.lon]}
            icon={stayIcon(first, by)}
            title={earlier.length > 0 ? `${first.campsite}, ${earlier.length + 1} stays` : first.campsite}
          >
            <Popup>
              {[first, ...earlier].map((s) => (
                <StayBubble stay={s} key={s.id} />
              ))}
            </Popup>
          </Marker>
        ))}
      </MapContainer>
      <div className="buttons">
        <Button size="small" disabled={!edges} onClick={() => change({ area: edges })}>
          Show only this part of the map
        </Button>
        {edges && (
          <Link className="todo" to={`/findings?of=carriers&area=${edges}`}>
            Which carrier here?
          </Link>
        )}
      </div>
      {view.tiles === null && (
        <p className="small">
          The coastline is public domain and ships with Syntoma; nothing is downloaded. It has no rivers,
          roads or small islands.
        </p>
      )}
    </Part>
  );
}

function StayBubble({ stay }: { stay: Line }) {
  return (
    <div className="bubble">
      <Link to={`/logbook?stay=${stay.id}`}>
        <b>{stay.campsite}</b>
      </Link>
      <div>{span(stay.arrivedAt, stay.leftAt)}</div>
      {stay.setups.map((s) => (
        <div key={s.name}>
          <SetupLabel setup={s} /> <span className="small">{s.measurements}</span>
        </div>
      ))}
      <div className="small">
        {[
          stay.levelDbm !== null && `RSRP ${fixed(stay.levelDbm, 0)} dBm, ${stay.grade}`,
          stay.upMbps !== null && `${short(stay.upMbps)} Mb/s up`,
          stay.downMbps !== null && `${short(stay.downMbps)} Mb/s down`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </div>
    </div>
  );
}

/** Shows all points at first, and tells the edges of what is shown once it was moved. */
function Frame(props: { points: [number, number][]; moved: (edges: string) => void }) {
  const map = useMap();
  const { points, moved } = props;
  const [first] = useState(points);
  useEffect(() => {
    map.fitBounds(L.latLngBounds(first), { padding: [40, 40], maxZoom: 9, animate: false });
    const tell = () => {
      const b = map.getBounds();
      const within = (v: number, most: number) => Math.max(-most, Math.min(most, v)).toFixed(3);
      moved(
        [
          within(b.getSouth(), 90),
          within(b.getWest(), 180),
          within(b.getNorth(), 90),
          within(b.getEast(), 180),
        ].join(','),
      );
    };
    map.on('moveend', tell);
    return () => {
      map.off('moveend', tell);
    };
  }, [map, first, moved]);
  return null;
}

const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

const landStyle = () => ({
  color: colour('--ink2'),
  weight: 1,
  fillColor: colour('--paper'),
  fillOpacity: 1,
});

function stayIcon(stay: Line, by: By) {
  const used = stay.setups[0];
  if (by === 'level') {
    const text = stay.levelDbm === null ? '–' : `${fixed(stay.levelDbm, 0)} dBm`;
    return L.divIcon({
      className: `map-level ${stay.grade ?? 'unknown'}`,
      html: text,
      iconSize: [64, 20],
      iconAnchor: [32, 10],
    });
  }
  const { outline, split, colour: tone, ground } = pennant(used?.pennant ?? 0);
  const id = `map-pennant-${stay.id}`;
  const shape = used
    ? `<clipPath id="${id}"><path d="${outline}"/></clipPath><path d="${outline}" fill="${ground}"/><path d="${split}" fill="${tone}" clip-path="url(#${id})"/><path d="${outline}" fill="none" stroke="var(--ink)" stroke-width="1.4"/>`
    : '<path d="M1 2H21V16H1Z" fill="none" stroke="var(--ink2)" stroke-dasharray="3 2"/>';
  return L.divIcon({
    className: 'map-pennant',
    html: `<svg width="25" height="30" viewBox="0 0 25 30"><path d="M1 2V29" stroke="var(--ink)" stroke-width="1.6"/>${shape}</svg>`,
    iconSize: [25, 30],
    iconAnchor: [1, 29],
    popupAnchor: [10, -26],
  });
}

const mastIcon = (estimated: boolean) =>
  L.divIcon({
    className: 'map-mast',
    html: `<svg width="14" height="18" viewBox="0 0 14 18"><path d="M7 1L13 17H1Z" fill="${estimated ? 'none' : 'var(--ink)'}" stroke="var(--ink)" stroke-width="1.4"${estimated ? ' stroke-dasharray="3 2"' : ''}/></svg>`,
    iconSize: [14, 18],
    iconAnchor: [7, 17],
  });
