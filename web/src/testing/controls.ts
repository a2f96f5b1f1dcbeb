import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import type { ComponentFixture } from '@angular/core/testing';
import { MatCheckboxHarness } from '@angular/material/checkbox/testing';
import { MatInputHarness } from '@angular/material/input/testing';
import { MatSelectHarness } from '@angular/material/select/testing';

const nameOf = (control: Element): string =>
  control.getAttribute('aria-label') ??
  document.getElementById(control.getAttribute('aria-labelledby')?.trim() ?? '')?.textContent.trim() ??
  '';

/** What a person does with Material's controls, found by what they are called. */
export function controlsOf(fixture: ComponentFixture<unknown>) {
  const loader = TestbedHarnessEnvironment.documentRootLoader(fixture);
  const host = fixture.nativeElement as HTMLElement;
  const find = (kinds: string, name: RegExp): string => {
    const all = [...host.querySelectorAll(kinds), ...document.querySelectorAll(`.cdk-overlay-container :is(${kinds})`)];
    const found = all.find((each) => name.test(nameOf(each)));
    if (!found) throw new Error(`nothing is called ${name.source}, only ${all.map(nameOf).join('; ')}`);
    return `#${found.id}`;
  };
  const select = (name: RegExp) => loader.getHarness(MatSelectHarness.with({ selector: find('mat-select', name) }));
  const typed = (name: RegExp) => loader.getHarness(MatInputHarness.with({ selector: find('input, textarea', name) }));
  return {
    /** Chooses one of a list by its text. */
    choose: async (name: RegExp, text: string | RegExp) => {
      const list = await select(name);
      await list.open();
      await list.clickOptions({ text });
      await fixture.whenStable();
    },
    /** What a list of choices shows. */
    chosen: async (name: RegExp) => (await select(name)).getValueText(),
    /** What a list of choices offers. */
    offered: async (name: RegExp) => {
      const list = await select(name);
      await list.open();
      const texts = await Promise.all((await list.getOptions()).map((option) => option.getText()));
      await list.close();
      return texts;
    },
    /** Types into a field and leaves it. */
    write: async (name: RegExp, text: string) => {
      const field = await typed(name);
      await field.setValue(text);
      await (await field.host()).dispatchEvent('change');
      await field.blur();
      await fixture.whenStable();
    },
    written: async (name: RegExp) => (await typed(name)).getValue(),
    tick: async (label: string | RegExp) => {
      await (await loader.getHarness(MatCheckboxHarness.with({ label }))).toggle();
      await fixture.whenStable();
    },
  };
}
