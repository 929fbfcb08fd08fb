/** A job without a station in its address: the server, or what this tablet knows of it, leads on to the one where the work stands. */
export default function First() {
  return null;
}
