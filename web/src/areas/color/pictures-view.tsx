export function PicturesView() {
  return <p />;
}
