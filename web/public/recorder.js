// Hands the raw samples of the microphone to the page, block by block.
class Recorder extends AudioWorkletProcessor {
  process([input]) {
    const samples = input?.[0]
    if (samples?.length) this.port.postMessage(samples.slice())
    return true
  }
}
registerProcessor('recorder', Recorder)
