export default function NotFound() {
  return (
    <main style={{ padding: 24 }}>
      <h1>There is no such page</h1>
      <p>
        <a href="/">All jobs</a>
      </p>
    </main>
  )
}
