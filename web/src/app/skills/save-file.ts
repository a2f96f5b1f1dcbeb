import { Injectable, inject } from '@angular/core';
import { ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';

/** Hands texts to the browser as files to be kept; that somebody took them out is written down. */
@Injectable({ providedIn: 'root' })
export class SaveFile {
  private readonly client = inject(ContractClient);

  /**
   * Saves a text.
   *
   * @param logged what stands in the log; names of people do not belong there
   */
  save(name: string, type: string, text: string, logged = name): void {
    const url = URL.createObjectURL(new Blob([text], { type: `${type};charset=utf-8` }));
    const link = document.createElement('a');
    link.href = url;
    link.download = name;
    link.click();
    URL.revokeObjectURL(url);
    this.client.call(endpoints.noteTakenOut, { body: { file: logged } }).subscribe({ error: () => undefined });
  }
}
