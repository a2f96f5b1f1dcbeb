import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { Router, RouterLink } from '@angular/router';
import { type PassportFile, passportCsv, passportFile } from '@brave-comb/core/exchange';
import { isOpen } from '@brave-comb/core/skills';
import { daysBetween } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { peopleFeature } from '../people/people.feature';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dateInFull, dateText, dayText } from '../ui/format';
import { ImportCard, type ImportAsk } from './import-card';
import { SignCard, type SignAsk } from './sign-card';
import { JudgeCard, type JudgeAsk } from './judge-card';
import { LevelGlyph } from './level-glyph';
import type { Passport, PassportSkill } from './passport-view';
import { ReadingsChart } from './readings-chart';
import { SaveFile } from './save-file';
import { SkillDetail } from './skill-detail';
import { Named, listed, namesOf } from '../language/words';
import { FIELD } from '../parts/field';
import { FileButton } from '../parts/file-button';
import { titled } from '../ui/titled';

/** Titles of the usual checklist's skills in a few letters. */
const SHORT: Readonly<Record<string, string>> = namesOf('skillShort');
/** Showings that are named in a row; the rest is counted. */
const NAMED = 3;
/** Days before its last day from which on a skill is said to fade. */
const FADES_WITHIN = 42;

/** A trainee's passport: every skill with what it rests on, to be read, signed, printed and taken elsewhere. */
@Component({
  selector: 'bc-passport',
  imports: [
    FileButton,
    FIELD,
    Named,
    MatButton,
    LevelGlyph,
    MatIcon,
    ReadingsChart,
    RouterLink,
    SkillDetail,
    ViewState,
  ],
  templateUrl: './passport.html',
  styleUrl: './passport.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PassportScreen {
  protected readonly listed = listed;
  private readonly files = inject(SaveFile);
  private readonly desk = inject(ViewDesk);
  private readonly dialog = inject(MatDialog);
  private readonly router = inject(Router);
  private readonly person = inject(Store).selectSignal(peopleFeature.selectPerson);
  /** From the address; `me` for the own one. */
  readonly trainee = input.required<string>();
  private readonly id = computed(() => (this.trainee() === 'me' ? (this.person()?.id ?? null) : this.trainee()));
  protected readonly watched = this.desk.watch('passport', () => {
    const trainee = this.id();
    return trainee ? { params: { trainee } } : null;
  });
  protected readonly data = this.watched.data;
  private readonly agreement = this.desk.watch('agreement', () => ({}));
  protected readonly letters = computed(
    () => this.agreement.data()?.people.find(({ id }) => id === this.id())?.readings.letters ?? [],
  );
  protected readonly lead = computed(() => this.person()?.role === 'lead');
  protected readonly staff = computed(() => this.person()?.role !== 'trainee');
  protected readonly leadName = computed(() => (this.lead() ? (this.person()?.name ?? '') : ''));
  protected readonly shown = signal<string | null>(null);
  protected readonly typed = signal('');
  protected readonly wrong = signal<string | null>(null);
  private readonly taken = this.desk.lastAnswer('importPassport');
  private readonly erased = this.desk.lastAnswer('eraseTrainee');

  protected readonly open = (skill: PassportSkill): boolean => isOpen(skill.standing);
  protected readonly inFull = dateInFull;
  protected readonly phases = computed(() => {
    const skills = this.data()?.skills ?? [];
    return [...new Set(skills.map(({ phase }) => phase))].map((name) => ({
      name,
      skills: skills.filter(({ phase }) => phase === name),
    }));
  });
  protected readonly stand = computed(() => (this.data()?.skills ?? []).filter((skill) => !this.open(skill)).length);
  protected readonly still = computed(() => (this.data()?.skills ?? []).filter((skill) => this.open(skill)));
  protected readonly toSign = computed(() =>
    (this.data()?.skills ?? []).filter(({ standing }) => standing.state === 'shown'),
  );
  /** What became of the last thing that was done here. */
  protected readonly says = computed(() => {
    if (this.wrong()) return this.wrong();
    const taken = this.taken();
    if (!taken) return null;
    const unknown = taken.unknown.length > 0 ? $localize` Not on this list: ${taken.unknown.join(', ')}.` : '';
    return $localize`${taken.taken} showings from ${taken.school} imported, ${taken.known} were here already. They are waiting for you to accept them.${unknown}`;
  });

  constructor() {
    titled(() => {
      const data = this.data();
      return data ? $localize`Passport of ${data.trainee.name}` : null;
    });
    effect(() => {
      if (this.erased()) void this.router.navigateByUrl('/trainees');
    });
  }

  protected evidenceText({ evidence }: PassportSkill): string {
    const counted = evidence.filter(({ counts }) => counts);
    const best = counted.length > 0 ? counted : evidence.filter(({ withdrawn }) => !withdrawn);
    const named = best
      .slice(0, NAMED)
      .map(
        ({ day, hive, source, assessor }) =>
          `${dateInFull(day)}${hive ? $localize`, hive ${hive}` : source === 'practice' ? $localize`, indoors` : ''}${assessor ? `, ${initialsOf(assessor)}` : ''}`,
      );
    const more = best.length > NAMED ? $localize` and ${best.length - NAMED} more` : '';
    return best.length === 0 ? $localize`nothing yet` : `${named.join('; ')}${more}`;
  }

  /** A row of the paper is one line: the short title stands there. */
  protected short({ id, name }: PassportSkill): string {
    return SHORT[id] ?? name;
  }

  /** On paper every showing that counts stands: year by year, "14 May h4 TW". */
  protected evidenceInPrint({ evidence }: PassportSkill): string {
    const counted = evidence.filter(({ counts }) => counts).toSorted((a, b) => a.day.localeCompare(b.day));
    const years = [...new Set(counted.map(({ day }) => day.slice(0, 4)))];
    return years
      .map((year) => {
        const shown = counted
          .filter(({ day }) => day.startsWith(year))
          .map(({ day, hive, source, assessor }) =>
            [
              dayText(day),
              hive ? $localize`h${hive}` : source === 'practice' ? $localize`indoors` : '',
              assessor ? initialsOf(assessor) : '',
            ]
              .filter(Boolean)
              .join(' '),
          );
        return `${year}: ${shown.join(', ')}`;
      })
      .join('; ');
  }

  /** Who the initials are, for paper. */
  protected readonly initials = computed(() => {
    const skills = this.data()?.skills ?? [];
    const people = new Set(
      skills.flatMap(({ evidence, signOffs }) => [
        ...evidence.flatMap(({ counts, assessor }) => (counts && assessor ? [assessor] : [])),
        ...signOffs.map(({ by }) => by),
      ]),
    );
    return [...people].map((name) => `${initialsOf(name)} ${name}`).join(', ');
  });

  protected fades({ standing }: PassportSkill): string | null {
    const today = this.data()?.today;
    if (!today || !standing.until || standing.state === 'in-progress') return null;
    return daysBetween(today, standing.until) <= FADES_WITHIN ? dateText(standing.until) : null;
  }

  /** Who signed and when; a signature by exception says so with its reason, one that fell is told. */
  protected signature({ signOffs, standing }: PassportSkill): string | null {
    if (standing.signature === 'fallen') return $localize`sign-off withdrawn: evidence removed`;
    const signed = signOffs.findLast(({ withdrawn }) => withdrawn === null);
    if (!signed) return null;
    const by = `${initialsOf(signed.by)} ${dateInFull(signed.day)}`;
    if (signed.kind === 'carried') return $localize`carried, ${by}`;
    return signed.byException ? $localize`${by}, by exception: ${signed.note}` : by;
  }

  protected readonly exceptions = computed(
    () => (this.data()?.skills ?? []).filter(({ standing }) => standing.signature === 'by-exception').length,
  );

  protected judge(skill: string | null): void {
    this.ask({ about: this.staff() ? 'judge' : 'claim', skill, evidence: null });
  }

  protected correct(skill: PassportSkill, evidence: Passport['earlier'][number]): void {
    this.ask({ about: 'correct', skill: skill.id, evidence });
  }

  private ask(ask: Omit<JudgeAsk, 'record'>): void {
    const record = this.data();
    if (record)
      this.dialog.open(JudgeCard, { data: { ...ask, record } satisfies JudgeAsk, width: '640px', maxWidth: '96vw' });
  }

  /** Signatures that were given together, to be taken back together. */
  protected readonly together = signal<readonly string[]>([]);

  protected signAll(): void {
    const [trainee, record] = [this.id(), this.data()];
    if (!trainee || !record) return;
    this.dialog
      .open<SignCard, SignAsk, readonly string[]>(SignCard, {
        data: { trainee: record.trainee.name, skills: this.toSign() },
        width: '640px',
        maxWidth: '96vw',
      })
      .afterClosed()
      .subscribe((chosen) => {
        if (!chosen) return;
        const skills = chosen.map((skill) => ({ id: this.desk.newId(), skill }));
        this.together.set(skills.map(({ id }) => id));
        this.desk.change('signOffSkills', { params: { trainee }, body: { skills, note: '' } }, 'passport', false);
      });
  }

  protected takeTogetherBack(): void {
    const trainee = this.id();
    if (!trainee) return;
    const body = { signOffs: this.together(), reason: $localize`signed off together, then undone` };
    this.desk.change('withdrawSignOffs', { params: { trainee }, body }, 'passport', false);
    this.together.set([]);
  }

  protected signCourse(): void {
    const trainee = this.id();
    if (trainee)
      this.desk.change(
        'signOffCourse',
        { params: { trainee }, body: { id: this.desk.newId(), note: '' } },
        'passport',
        false,
      );
  }

  protected withdrawCourse(signOff: string, reason: string): void {
    this.desk.change('withdrawCourse', { params: { signOff }, body: { reason } }, 'passport', false);
  }

  protected save(as: 'json' | 'csv'): void {
    const record = this.data();
    if (!record) return;
    const file = passportFile(record);
    const name = `passport-${record.trainee.name.toLowerCase().replace(/\W+/g, '-')}-${record.today}.${as}`;
    const logged = `passport of trainee ${record.trainee.id}`;
    if (as === 'json') this.files.save(name, 'application/json', `${JSON.stringify(file, null, 2)}\n`, logged);
    else this.files.save(name, 'text/csv', `\uFEFF${passportCsv(file)}`, logged);
  }

  protected async takeIn(file: File): Promise<void> {
    const trainee = this.id();
    if (!trainee) return;
    this.wrong.set(null);
    const passport = readPassport(await file.text());
    if (passport === null)
      return void this.wrong.set(
        $localize`${file.name} is no passport\: it must be the JSON file that another school exported.`,
      );
    this.dialog
      .open<ImportCard, ImportAsk, { anotherName: boolean }>(ImportCard, {
        data: { trainee: this.data()?.trainee.name ?? '', file: passport },
        width: '560px',
        maxWidth: '96vw',
      })
      .afterClosed()
      .subscribe((sure) => {
        if (sure)
          this.desk.change(
            'importPassport',
            { params: { trainee }, body: { ...passport, ...sure } },
            'passport',
            false,
          );
      });
  }

  protected erase(): void {
    const trainee = this.id();
    if (trainee)
      this.desk.change(
        'eraseTrainee',
        { params: { trainee }, body: { name: this.typed().trim() } },
        'traineeMatrix',
        false,
      );
  }

  protected print(): void {
    globalThis.print();
  }
}

const initialsOf = (name: string): string =>
  name
    .split(' ')
    .map((part) => part[0])
    .join('');

/** The file as far as it is shown before it is sent; the server looks at the whole of it. */
function readPassport(text: string): PassportFile | null {
  try {
    const file = JSON.parse(text) as Partial<PassportFile>;
    const whole = typeof file.trainee === 'string' && typeof file.school === 'string' && typeof file.made === 'string';
    return whole && Array.isArray(file.skills) ? (file as PassportFile) : null;
  } catch {
    return null;
  }
}
