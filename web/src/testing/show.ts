import { provideHttpClient } from '@angular/common/http';
import type { EnvironmentProviders, Provider, Type } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideIcons } from '../app/icons/icons';

/** Shows a component with inputs, settled. */
export async function show<T>(
  component: Type<T>,
  inputs: Readonly<Record<string, unknown>>,
  more: readonly (Provider | EnvironmentProviders)[] = [],
): Promise<ComponentFixture<T>> {
  TestBed.resetTestingModule().configureTestingModule({
    imports: [component],
    providers: [provideHttpClient(), provideIcons(), ...more],
  });
  await TestBed.compileComponents();
  const fixture = TestBed.createComponent(component);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  await fixture.whenStable();
  return fixture;
}

/** The element that a component is drawn in. */
export const elementOf = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;
