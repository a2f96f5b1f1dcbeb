import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatSnackBar } from '@angular/material/snack-bar';
import type { Members } from '@brave-comb/contract';
import { v7 as uuid } from 'uuid';
import { saving } from '../api/saving';
import { FIELD } from '../parts/field';

type Group = Members['groups'][number];

/** The groups of a school: made, named, ended. */
@Component({
  selector: 'bc-groups-card',
  imports: [FIELD, MatButton],
  template: `
    <section class="sheet chosen form" aria-labelledby="groups-title">
      <h2 id="groups-title" i18n>Groups</h2>
      @for (group of lines(); track group.id) {
        <div class="row" [class.retired]="group.retired">
          <label bcField class="grow"
            ><span i18n
              >{{ group.count }} {group.count, plural, =1 {trainee} other {trainees}
              }{!!group.retired, select, true {, ended} other {}}</span
            ><mat-form-field
              ><input
                matInput
                maxlength="60"
                [value]="group.name"
                ariaLabel="Name of {{ group.name }}"
                i18n-ariaLabel
                (change)="rename(group, $any($event.target).value)" /></mat-form-field
          ></label>
          <button
            type="button"
            matButton
            class="small"
            ariaLabel="{{ group.retired ? resume : end }} {{ group.name }}"
            (click)="retire(group)"
            i18n
          >
            {!!group.retired, select, true {Begin again} other {End}}
          </button>
        </div>
      } @empty {
        <p class="quiet" i18n>No group yet. A list with a column for groups makes them as it is read.</p>
      }
      <form class="row" (submit)="$event.preventDefault(); make(fresh)">
        <label bcField class="grow"
          ><span i18n>New group</span
          ><mat-form-field><input #fresh matInput maxlength="60" autocomplete="off" /></mat-form-field
        ></label>
        <button matButton="outlined" type="submit" i18n>Add</button>
      </form>
      @if (save.fault(); as refused) {
        <p class="said bad" role="alert">{{ refused.message }}</p>
      }
      <p class="quiet" role="status">{{ words() }}</p>
      <button type="button" matButton (click)="closed.emit()" i18n>Close</button>
    </section>
  `,
  styleUrl: './office.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class GroupsCard {
  private readonly bar = inject(MatSnackBar);
  readonly members = input.required<Members>();
  readonly closed = output();
  protected readonly save = saving();
  protected readonly words = signal('');
  protected readonly end = $localize`End`;
  protected readonly resume = $localize`Begin again`;
  private id = uuid();
  protected readonly lines = computed(() =>
    this.members().groups.map((group) => ({
      ...group,
      count: this.members().people.filter(({ groups, retired }) => retired === null && groups.includes(group.id))
        .length,
    })),
  );

  protected async rename({ id, version, name: before }: Group, typed: string): Promise<void> {
    const name = typed.trim();
    if (name === '' || name === before) return;
    const done = await this.save.send('keepGroup', { params: { group: id }, body: { version, name } });
    if (done) this.words.set($localize`${before} is now ${name}.`);
  }

  protected async make(field: HTMLInputElement): Promise<void> {
    const name = field.value.trim();
    if (name === '') return;
    const done = await this.save.send('keepGroup', { params: { group: this.id }, body: { version: 0, name } });
    if (!done) return;
    this.id = uuid();
    field.value = '';
    this.words.set($localize`${name} was added.`);
  }

  protected async retire({ id, version, name, retired }: Group): Promise<void> {
    const done = await this.save.send('retireGroup', {
      params: { group: id },
      body: { version, retired: retired === null },
    });
    if (done)
      this.bar.open(
        retired === null ? $localize`${name} has ended; its sessions stay.` : $localize`${name} begins again.`,
        undefined,
        { duration: 6000 },
      );
  }
}
