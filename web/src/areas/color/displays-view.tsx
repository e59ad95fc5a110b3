export function DisplaysView() {
  return <p />;
}
