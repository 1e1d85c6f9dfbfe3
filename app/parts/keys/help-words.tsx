import { PRESSURE_KPA, PRESSURES } from '../../../core/words';
import { PAD_CM2, PRESSURE_IMAGES } from '../../../reference/facts/pressure-images';
import { PressureDot } from '../marks/marks';

/** Newtons on a pad: pressure in kPa times its area in cm², through ten. */
const newton = (kpa: number, cm2: number): string => {
  const n = (kpa * cm2) / 10;
  return n < 1 ? n.toFixed(1) : n.toFixed(0);
};

/** What the five words of pressure mean: in kPa, in newtons under a pad, and as an image. */
export function PressureHelp() {
  return (
    <>
      <h3>What the pressure words mean</h3>
      <table className="table table-sm">
        <thead>
          <tr>
            <th scope="col">Word</th>
            <th scope="col">About, kPa</th>
            <th scope="col">Fingertip, N</th>
            <th scope="col">Thumb, N</th>
            <th scope="col">As if</th>
          </tr>
        </thead>
        <tbody>
          {PRESSURES.map((p) => (
            <tr key={p}>
              <th scope="row">
                <PressureDot pressure={p} /> {p}
              </th>
              <td className="num">
                {PRESSURE_KPA[p].least}–{PRESSURE_KPA[p].most}
              </td>
              <td className="num">{newton(PRESSURE_KPA[p].nominal, PAD_CM2.fingertip)}</td>
              <td className="num">{newton(PRESSURE_KPA[p].nominal, PAD_CM2.thumb)}</td>
              <td>{PRESSURE_IMAGES[p]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small soft">
        Fingertip counted as {PAD_CM2.fingertip} cm², thumb as {PAD_CM2.thumb} cm². What the client feels decides:
        pressure, not pain, 5 of 10 at most.
      </p>
    </>
  );
}

/** A first visit in five lines. */
export function FirstVisit() {
  return (
    <>
      <h3>A first visit in five lines</h3>
      <ol>
        <li>Screen: ask every question; a yes takes away what may not be done, on chart and list.</li>
        <li>Assess: rate each complaint, press the muscles on the chart, measure the opening.</li>
        <li>Compose: Propose, or touch a place and choose; the rules say what to look at.</li>
        <li>Guide: it counts, speaks and shows; lighter, firmer and stop are under the hand.</li>
        <li>Record: rate and press again, note reactions, book the next visit, finish.</li>
      </ol>
    </>
  );
}
