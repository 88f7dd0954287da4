import type { Finish } from '../model/types/finishTypes.ts';
import type { Step } from '../model/types/step.ts';
import { bathSteps } from './bath.ts';
import { paintSteps } from './paintSteps.ts';
import { fillerSteps, glueSteps, metalSteps, printSteps, shellGates, washSteps } from './works.ts';

/** The steps of one piece of finishing, in their order, each knowing what must come first. */
export function finishSteps(finish: Finish): Step[] {
  switch (finish.do) {
    case 'paint':
      return paintSteps(finish);
    case 'bath':
      return bathSteps(finish);
    case 'wash':
      return washSteps(finish);
    case 'glue':
      return glueSteps(finish);
    case 'filler':
      return fillerSteps(finish);
    case 'metal':
      return metalSteps(finish);
    case 'print':
      return printSteps(finish);
    case 'old shell':
      return shellGates(finish);
  }
}

/** A few words for lists: "paint the case, graphite". */
export function finishName(finish: Finish): string {
  switch (finish.do) {
    case 'paint':
      return `paint the ${finish.piece}${finish.colour ? `, ${finish.colour}` : ''}`;
    case 'bath':
      return `${finish.school} for the ${finish.piece}`;
    case 'wash':
      return `wash: ${finish.what}`;
    case 'glue':
      return `glue the ${finish.piece}, ${finish.which}`;
    case 'filler':
      return `fill the ${finish.piece}`;
    case 'metal':
      return `${finish.what} the ${finish.piece}`;
    case 'print':
      return `print: ${finish.piece}, ${finish.hours} h`;
    case 'old shell':
      return `old shell: ${finish.shell}`;
  }
}
