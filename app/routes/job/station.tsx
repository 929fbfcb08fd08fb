/** A station of the job: the address alone; the screen stands in the parent route and never reloads between stations. */
export default function Station() {
  return null;
}
