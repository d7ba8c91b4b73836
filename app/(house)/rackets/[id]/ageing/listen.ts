/** The microphone, for as long as somebody taps. */

export interface Listening {
  /** What was heard, when it is over. */
  readonly stop: () => Promise<Float32Array>;
  readonly rate: number;
}

/** Why there is no sound, in a sentence. */
export class NoSound extends Error {}

const REFUSED: Readonly<Record<string, string>> = {
  NotAllowedError:
    'This browser may not listen: allow the microphone for this page, or give a recording below.',
  NotFoundError: 'There is no microphone here: record it elsewhere, and give the recording below.',
  NotReadableError: 'Another program has the microphone just now.',
};

/** Begins to listen; `level` is told the loudness of each moment, 0 to 1. */
export async function listen(level: (loud: number) => void): Promise<Listening> {
  // Only pages of a safe address have it.
  const devices = (navigator as { mediaDevices?: MediaDevices }).mediaDevices;
  if (!devices)
    throw new NoSound(
      'A browser listens only to a page with a safe address (https): give a recording below.',
    );
  const stream = await devices
    .getUserMedia({
      audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
    })
    .catch((error: unknown) => {
      const { name } = error as { name?: string };
      throw new NoSound(REFUSED[name ?? ''] ?? 'The microphone cannot be heard just now.');
    });
  const context = new AudioContext();
  const analyser = context.createAnalyser();
  analyser.fftSize = 1024;
  context.createMediaStreamSource(stream).connect(analyser);
  const moment = new Float32Array(analyser.fftSize);
  const timer = setInterval(() => {
    analyser.getFloatTimeDomainData(moment);
    const loudest = moment.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0);
    level(Math.min(1, loudest));
  }, 50);
  const recorder = new MediaRecorder(stream);
  const parts: Blob[] = [];
  recorder.addEventListener('dataavailable', ({ data }) => parts.push(data));
  const over = new Promise<void>((resolve) =>
    recorder.addEventListener('stop', () => resolve(), { once: true }),
  );
  recorder.start();
  return {
    rate: context.sampleRate,
    async stop() {
      clearInterval(timer);
      if (recorder.state !== 'inactive') recorder.stop();
      await over;
      for (const track of stream.getTracks()) track.stop();
      const bytes = await new Blob(parts).arrayBuffer();
      try {
        return (await context.decodeAudioData(bytes)).getChannelData(0);
      } finally {
        await context.close();
      }
    },
  };
}

/** The sound of a file, in whatever format the browser knows. */
export async function soundOf(
  file: File,
): Promise<{ readonly samples: Float32Array; readonly rate: number }> {
  const context = new AudioContext();
  try {
    const buffer = await context.decodeAudioData(await file.arrayBuffer());
    return { samples: buffer.getChannelData(0), rate: buffer.sampleRate };
  } catch {
    throw new NoSound('That is no sound that can be read: give a WAV file.');
  } finally {
    await context.close();
  }
}
