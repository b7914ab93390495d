import { UNREACHABLE, RequestProblem } from './request';

/** A part of the application that comes when it is asked for: where it cannot be had, that is what is said of any request. */
export async function comingPart<T>(part: Promise<T>): Promise<T> {
  try {
    return await part;
  } catch {
    throw new RequestProblem(UNREACHABLE, null);
  }
}
