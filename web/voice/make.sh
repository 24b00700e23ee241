#!/usr/bin/env bash
# Makes the spoken clips of web/public/voice from words.tsv. Needs espeak-ng, sox and libsox-fmt-mp3 from Debian's packages;
# run it after a change of words.tsv and commit what it makes. The application itself needs none of them.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")"
out=../public/voice
scratch=$(mktemp -d)
trap 'rm -rf "$scratch"' EXIT
mkdir -p "$out"
rm -f "$out"/*.mp3
while IFS=$'\t' read -r id words; do
  espeak-ng -v en-gb -s 148 -p 42 -w "$scratch/raw.wav" "$words"
  # No silence before and after, an even loudness, and soft ends so that joined clips do not click.
  sox "$scratch/raw.wav" -r 22050 -c 1 "$scratch/trimmed.wav" \
    silence 1 0.01 0.5% reverse silence 1 0.01 0.5% reverse
  sox "$scratch/trimmed.wav" -C 40.2 "$out/$id.mp3" gain -n -3 fade t 0.005 -0 0.02
done <words.tsv
