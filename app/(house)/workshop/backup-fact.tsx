import { backupState } from '@/db/backup/daily';
import { backupWords } from '@/db/backup/words';
import { Fact, Facts } from '@/ui/facts';

/** How old the last proven backup is; in the colour of warnings after two days. */
export async function BackupFact() {
  const folder = process.env.ORTHOTENS_BACKUPS;
  const { words, note, overdue } = folder
    ? backupWords(await backupState(folder), new Date())
    : {
        words: 'This server makes none of its own: start it with npm start',
        note: undefined,
        overdue: true,
      };
  return (
    <Facts className="mb-6 max-w-3xl">
      <Fact name="Last backup" note={note}>
        <span className={overdue ? 'text-warn font-medium' : undefined}>{words}</span>
      </Fact>
    </Facts>
  );
}
