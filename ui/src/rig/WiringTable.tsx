import { Button } from 'antd';
import type { Schemas } from '../data/client';
import { Part } from '../parts/Sheet';

/** Prints the wiring alone. */
function printWiring() {
  document.body.dataset.print = 'wiring';
  window.print();
  delete document.body.dataset.print;
}

/** Which lead goes to which port, with the labels to stick on. */
export function WiringTable({ view }: { view: Schemas['SetupView'] }) {
  return (
    <div className="wiring">
      <Part
        title="Wiring"
        small="lead to port, with the label to stick on"
        actions={
          <Button size="small" onClick={printWiring}>
            Print
          </Button>
        }
      >
        <div className="table-scroll">
          <table className="plain rows">
            <thead>
              <tr>
                <th>Lead</th>
                <th>Ends in</th>
                <th>Between</th>
                <th>Port</th>
                <th>Label</th>
              </tr>
            </thead>
            <tbody>
              {view.wiring.map((w) => (
                <tr key={w.key}>
                  <td>
                    <b>{w.lead}</b> <span className="small">{w.use}</span>
                  </td>
                  <td data-label="Ends in">{w.ends}</td>
                  <td
                    data-label="Between"
                    className={w.adapter?.endsWith('to buy') ? 'attention' : undefined}
                  >
                    {w.adapter ?? 'nothing'}
                  </td>
                  <td data-label="Port">
                    {w.port} <span className="small">{w.portHas}</span>
                  </td>
                  <td data-label="Label">
                    <span className="sticker">{w.sticker}</span>
                  </td>
                </tr>
              ))}
              {view.leadsOver.map((lead) => (
                <tr key={lead.key}>
                  <td>
                    <b>{lead.label}</b>
                  </td>
                  <td colSpan={3} className="quiet">
                    no port: leave the cap on
                  </td>
                  <td>
                    <span className="sticker">capped</span>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {view.portsOver.length > 0 && (
          <p className="small">Ports that stay empty: {view.portsOver.join(', ')}.</p>
        )}
      </Part>
    </div>
  );
}
