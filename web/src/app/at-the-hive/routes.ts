import type { Routes } from '@angular/router';
import { provideVisits } from '../inspection/provide-visits';
import { AtTheHive } from './at-the-hive';

export const routes: Routes = [{ path: '', providers: [provideVisits()], component: AtTheHive }];
