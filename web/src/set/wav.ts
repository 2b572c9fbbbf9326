/** Samples of one channel as a WAV file of 32 bit float: nothing is lost on the way to the core. */
export function wavOf(samples: Float32Array, rate: number): Blob {
  const head = new DataView(new ArrayBuffer(44))
  const text = (at: number, word: string) => {
    for (let i = 0; i < word.length; i++) head.setUint8(at + i, word.charCodeAt(i))
  }
  const bytes = samples.length * 4
  text(0, 'RIFF')
  head.setUint32(4, 36 + bytes, true)
  text(8, 'WAVEfmt ')
  head.setUint32(16, 16, true)
  head.setUint16(20, 3, true) // IEEE float
  head.setUint16(22, 1, true)
  head.setUint32(24, rate, true)
  head.setUint32(28, rate * 4, true)
  head.setUint16(32, 4, true)
  head.setUint16(34, 32, true)
  text(36, 'data')
  head.setUint32(40, bytes, true)
  return new Blob([head, new Uint8Array(samples.buffer, samples.byteOffset, bytes).slice()], {
    type: 'audio/wav',
  })
}
