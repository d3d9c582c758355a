export default function stopPostgres() {
  globalThis.testCluster?.destroy()
  globalThis.testCluster = undefined
}
