import type { Hearing } from '../../../core/guide';
import { Button, Form } from 'react-bootstrap';
import type { GuideSettings } from './guide-settings';
import { useVoices } from './speech';

const WHO: Record<Hearing['who'], string> = {
  both: 'both: where and how hard, and what the client does',
  practitioner: 'the practitioner: where, which side, how hard',
  client: 'the client: what to do',
};
const COUNTS: Record<Hearing['counts'], string> = {
  every: 'every count',
  fifths: 'every fifth and the last',
  'last-three': 'the last three',
  none: 'no counts',
};
const COUNTDOWN: Record<Hearing['countdown'], string> = {
  'eyes-shut': 'while eyes are shut',
  always: 'always',
  never: 'never',
};

/** How a run is heard, to be tried before it begins. */
export function HearingFields({
  settings,
  onSettings,
  onTry,
}: {
  settings: GuideSettings;
  onSettings: (next: GuideSettings) => void;
  onTry: () => void;
}) {
  const voices = useVoices();
  const { hearing } = settings;
  const set = (change: Partial<GuideSettings>) => onSettings({ ...settings, ...change });
  const choice = <K extends keyof Hearing>(key: K, label: string, words: Record<Hearing[K], string>) => (
    <Form.Group controlId={`hear-${key}`} className="hear">
      <Form.Label>{label}</Form.Label>
      <Form.Select
        value={hearing[key]}
        onChange={(e) => set({ hearing: { ...hearing, [key]: e.target.value } as Hearing })}
      >
        {Object.entries<string>(words).map(([value, text]) => (
          <option key={value} value={value}>
            {text}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
  const toggle = (key: 'sound' | 'voice' | 'between' | 'waitsForHands', label: string) => (
    <Form.Check
      type="switch"
      id={`guide-${key}`}
      label={label}
      checked={settings[key]}
      onChange={(e) => set({ [key]: e.target.checked })}
    />
  );
  return (
    <fieldset className="hearing">
      <legend className="visually-hidden">How it is heard</legend>
      {toggle('sound', 'Tones for steps, sides, beats and breath')}
      {toggle('voice', 'Spoken cues')}
      {toggle('between', 'Stop between the sides to compare them')}
      {toggle('waitsForHands', 'Wait for my hands: the work begins when I say that I am there')}
      {settings.voice && voices.length === 0 && (
        <p className="soft small mb-0">This device has no voice of its own: the tones carry the run.</p>
      )}
      {settings.voice && voices.length > 0 && (
        <>
          {choice('who', 'The voice is for', WHO)}
          {choice('counts', 'It counts', COUNTS)}
          {choice('countdown', 'Three, two, one', COUNTDOWN)}
          <Form.Group controlId="hear-voice" className="hear">
            <Form.Label>Voice</Form.Label>
            <Form.Select value={settings.voiceName} onChange={(e) => set({ voiceName: e.target.value })}>
              <option value="">the first that fits</option>
              {voices.map((v) => (
                <option key={v}>{v}</option>
              ))}
            </Form.Select>
          </Form.Group>
        </>
      )}
      <div className="d-flex gap-3 align-items-center">
        <Form.Label htmlFor="hear-volume" className="mb-0">
          Loudness
        </Form.Label>
        <Form.Range
          id="hear-volume"
          min={0}
          max={1}
          step={0.1}
          value={settings.volume}
          onChange={(e) => set({ volume: Number(e.target.value) })}
        />
        <Button variant="outline-primary" className="text-nowrap" onClick={onTry}>
          Try it
        </Button>
      </div>
    </fieldset>
  );
}
