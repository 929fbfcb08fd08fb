const longestEdge = 2400;
const smallEnough = 1_500_000;

/** A large photograph made smaller before it is sent, over a weak network; anything that is no picture stays as it is. */
export async function shrinkPhotograph(file: File): Promise<Blob> {
  if (!/\.(jpe?g|png|webp)$/i.test(file.name) || file.size <= smallEnough) return file;
  try {
    const picture = await createImageBitmap(file, { imageOrientation: "from-image" });
    const scale = Math.min(1, longestEdge / Math.max(picture.width, picture.height));
    const canvas = document.createElement("canvas");
    canvas.width = Math.round(picture.width * scale);
    canvas.height = Math.round(picture.height * scale);
    canvas.getContext("2d")?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    const type = file.name.toLowerCase().endsWith(".png") ? "image/png" : "image/jpeg";
    const smaller = await new Promise<Blob | null>((done) => canvas.toBlob(done, type, 0.86));
    return smaller && smaller.size < file.size && !/\.webp$/i.test(file.name) ? smaller : file;
  } catch {
    return file;
  }
}
