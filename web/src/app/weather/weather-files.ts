import { figure, measured } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { Trust } from '@brave-comb/contract';
import { endpoints } from '../api/endpoints';
import { firstValueFrom } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { ViewDesk } from '../api/view-desk';
import { dayText } from '../ui/format';
import { FileButton } from '../parts/file-button';

/** Files brought in by hand: hours measured at the site, and a typical year. */
@Component({
  selector: 'bc-weather-files',
  imports: [FileButton],
  template: `
    <section class="sheet" aria-labelledby="files-title">
      <h2 id="files-title" i18n>Import a file</h2>
      <p class="quiet" i18n>
        Usual weather now: {{ all().climate }}.
        {all().observations, plural, =1 {1 hour} other {{{ all().observations }} hours}} measured or imported.
      </p>
      <div class="fields">
        <bc-file accept=".csv,text/csv,text/plain" (chosen)="bring('importWeather', $event)" i18n
          >Import hours measured here (CSV)</bc-file
        >
        <bc-file accept=".epw,text/plain" (chosen)="bring('importClimate', $event)" i18n
          >Import a typical year (EPW)</bc-file
        >
      </div>
      <p class="quiet" i18n>
        CSV: a header row with <code>time</code> (as 2026-05-14T13:00+01:00) and <code>temperature</code>;
        <code>dewPoint, wind, gust, rain, cloud, thunder</code> where you have them; °C, km/h, mm.
      </p>
      @if (busy()) {
        <p role="status" i18n>Reading the file …</p>
      }
      @if (said(); as text) {
        <p role="status" class="said">{{ text }}</p>
      }
      @if (problem(); as text) {
        <p role="alert" class="problem">{{ text }}</p>
      }
      @if (bad().length) {
        <details>
          <summary i18n>
            {bad().length, plural, =1 {One line left out} other {{{ bad().length }} lines left out}}
          </summary>
          <ul>
            @for (line of bad().slice(0, 50); track line.line) {
              <li i18n>Line {{ line.line }}: {{ line.message }}</li>
            }
          </ul>
        </details>
      }
    </section>
  `,
  styles: `
    .said {
      color: var(--moss);
    }
    .problem {
      color: var(--madder-800);
    }
    code {
      font-size: 12px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WeatherFiles {
  private readonly client = inject(ContractClient);
  private readonly desk = inject(ViewDesk);
  readonly all = input.required<Trust>();
  protected readonly busy = signal(false);
  protected readonly said = signal<string | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly bad = signal<readonly { line: number; message: string }[]>([]);
  private readonly site = computed(() => this.all().site.id);

  protected async bring(what: 'importWeather' | 'importClimate', file: File): Promise<void> {
    this.busy.set(true);
    this.said.set(null);
    this.problem.set(null);
    this.bad.set([]);
    try {
      const text = await file.text();
      const sent = { params: { site: this.site() }, body: { text } };
      if (what === 'importWeather') {
        const answer = await firstValueFrom(this.client.call(endpoints.importWeather, sent));
        this.said.set(
          answer.from && answer.to
            ? $localize`${answer.kept} ${answer.kept === 1 ? $localize`hour` : $localize`hours`} saved, ${dayText(answer.from.slice(0, 10))} to ${dayText(answer.to.slice(0, 10))}.`
            : $localize`No hours could be saved.`,
        );
        this.bad.set(answer.bad);
      } else {
        const answer = await firstValueFrom(this.client.call(endpoints.importClimate, sent));
        this.said.set(
          $localize`${answer.place}, ${measured('distance', answer.km, 0)} from here\: usual means from ${figure('temperature', answer.coldest, 1)} to ${measured('temperature', answer.warmest, 1)}.${answer.km > 150 ? $localize` That is far away; a nearer place would fit better.` : ''}`,
        );
      }
      this.desk.refresh();
    } catch (fault) {
      this.problem.set((fault as CallFault).message);
    } finally {
      this.busy.set(false);
    }
  }
}
