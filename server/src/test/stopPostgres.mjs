export default function stopPostgres() {
  globalThis.testCluster.destroy()
}
