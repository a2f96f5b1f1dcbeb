import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { MatButtonHarness } from '@angular/material/button/testing';
import { MatSortHarness } from '@angular/material/sort/testing';
import { MatTableHarness } from '@angular/material/table/testing';
import { provideRouter } from '@angular/router';
import { elementOf, show } from '../../testing/show';
import { VisitList } from './visit-list';

const visit = (id: string, hiveNumber: string, startedAt: string, closedAt: string | null = startedAt) => ({
  id,
  hive: `hive ${hiveNumber}`,
  hiveNumber,
  site: 'Home orchard',
  zone: 'Europe/London',
  group: { id: 'g', name: 'Curlew' },
  supervisor: { id: 't', name: 'Tomasz' },
  startedAt,
  closedAt,
});

describe('the list of visits', () => {
  const open = async () => {
    const fixture = await show(VisitList, {}, [provideHttpClientTesting(), provideRouter([])]);
    const server = TestBed.inject(HttpTestingController);
    const loader = TestbedHarnessEnvironment.loader(fixture);
    const answer = async (address: string, visits: readonly object[], more: boolean) => {
      server.expectOne((request) => request.urlWithParams === address).flush({ visits, more });
      await fixture.whenStable();
    };
    const hives = async () =>
      (await (await loader.getHarness(MatTableHarness)).getCellTextByColumnName()).hive!.text.map((text) =>
        text.replace('Hive ', ''),
      );
    return { fixture, loader, server, answer, hives };
  };

  it('goes further back than the first page, each visit once, and sorts all that is there', async () => {
    const { loader, answer, hives, fixture } = await open();
    await answer(
      '/api/visits',
      [visit('a', '10', '2026-05-14T12:00:00Z', null), visit('b', '4', '2026-05-05T12:00:00Z')],
      true,
    );
    expect(await hives()).toEqual(['10', '4']);
    expect(elementOf(fixture).textContent).toContain('still open');
    await (await loader.getHarness(MatButtonHarness.with({ text: 'Older visits' }))).click();
    await answer(
      '/api/visits?before=2026-05-05T12:00:00Z',
      [visit('b', '4', '2026-05-05T12:00:00Z'), visit('c', '2', '2026-04-26T12:00:00Z')],
      false,
    );
    expect(await hives()).toEqual(['10', '4', '2']);
    expect(await loader.getAllHarnesses(MatButtonHarness.with({ text: 'Older visits' }))).toEqual([]);
    const [byHive] = await (await loader.getHarness(MatSortHarness)).getSortHeaders({ label: 'Hive' });
    await byHive!.click();
    expect(await hives()).toEqual(['2', '4', '10']);
  });

  it('keeps what is there when older ones cannot be loaded, and tries again', async () => {
    const { loader, answer, hives, server, fixture } = await open();
    await answer('/api/visits', [visit('a', '4', '2026-05-14T12:00:00Z')], true);
    await (await loader.getHarness(MatButtonHarness.with({ text: 'Older visits' }))).click();
    server.expectOne(({ url }) => url === '/api/visits').error(new ProgressEvent('error'));
    await fixture.whenStable();
    expect(await hives()).toEqual(['4']);
    expect(elementOf(fixture).querySelector('[role=alert]')!.textContent).toMatch(/No connection/);
    await (await loader.getHarness(MatButtonHarness.with({ text: 'Try now' }))).click();
    await answer('/api/visits?before=2026-05-14T12:00:00Z', [], false);
    expect(await hives()).toEqual(['4']);
  });

  it('says where visits come from while there is none', async () => {
    const { answer, fixture } = await open();
    await answer('/api/visits', [], false);
    expect(elementOf(fixture).textContent).toMatch(/No visit yet\. Start one from the day sheet/);
  });
});
