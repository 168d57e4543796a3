import { Injectable, type PipeTransform } from '@nestjs/common';
import { idProblems } from '@which-way/core/formats';
import { inWords, Refusal } from './refusal.js';

/** Takes an id in an address, spelt as ids are spelt everywhere. */
@Injectable()
export class OurIdPipe implements PipeTransform<string, string> {
  transform(value: string): string {
    const [problem] = idProblems(value);
    if (problem) throw new Refusal(400, inWords({ ...problem, path: 'id' }));
    return value;
  }
}
