<?php

declare(strict_types=1);

namespace Gravik\Simulation;

/**
 * A plucked string as samples: a delay line of one period, filled with darkened noise that is combed by where the pick
 * meets the string, and damped as it goes round. An up stroke is brighter and thinner. The browser's synth makes the
 * same sound from the same figures.
 */
final readonly class StringSound
{
    /** kind => [seconds, brightness of the noise, decay a round, level of the loudest sample] */
    private const VOICES = ['ring' => [3.2, 0.42, 0.9965, 0.5], 'palm-mute' => [0.5, 0.16, 0.955, 0.62], 'bass' => [2.4, 0.3, 0.996, 0.8]];

    private const UP_BRIGHTNESS = 0.4;

    private const PICK_AT = ['down' => 0.24, 'up' => 0.12];

    private const COMB = 0.8;

    public function __construct(private int $rate) {}

    /**
     * @param int                          $pitch MIDI
     * @param 'ring'|'palm-mute'|'bass'    $kind
     * @param float                        $most  seconds that are needed of it
     * @param list<array{float, float}>    $glide seconds and semitones, see Event
     *
     * @return list<float> −1 to 1
     */
    public function of(int $pitch, string $kind, bool $up, float $most = INF, array $glide = []): array
    {
        [$seconds, $brightness, $decay, $level] = self::VOICES[$kind];
        $samples = $this->string(
            $pitch,
            (int) (min($seconds, $most) * $this->rate),
            min(0.95, $brightness + ($up ? self::UP_BRIGHTNESS : 0.0)),
            $decay,
            self::PICK_AT[$up ? 'up' : 'down'],
        );

        return Samples::shaped($glide === [] ? $samples : $this->bent($samples, $glide), $level, $this->rate);
    }

    /** @return list<float> a short knock of filtered noise without a pitch of its own */
    public function chuck(int $pitch, bool $up): array
    {
        $noise = new Noise($pitch + ($up ? 500 : 0));
        $width = 2 * M_PI * (($up ? 2600 : 1700) + 14 * ($pitch - 52)) / $this->rate;
        $low = 0.0;
        $band = 0.0;
        $out = [];
        $count = (int) (0.09 * $this->rate);
        for ($i = 0; $i < $count; $i++) {
            $high = $noise->next() - $low - 0.7 * $band;
            $band += $width * $high;
            $low += $width * $band;
            $out[] = $band * exp(-$i / (0.011 * $this->rate));
        }

        return Samples::shaped($out, 0.6, $this->rate);
    }

    /** @return list<float> */
    private function string(int $pitch, int $count, float $brightness, float $decay, float $pickAt): array
    {
        $period = $this->rate / (440 * 2 ** (($pitch - 69) / 12));
        // The averaging below delays by half a sample; the rest of the period is a whole and a fractional part.
        $whole = max(2, (int) floor($period - 0.5));
        $fraction = $period - 0.5 - $whole;
        $stretch = (1 - $fraction) / (1 + $fraction);
        $line = $this->excitation($whole, $brightness, $pickAt, $pitch);
        $place = 0;
        $before = $passIn = $passOut = 0.0;
        $out = [];
        for ($i = 0; $i < $count; $i++) {
            $now = $line[$place];
            $out[] = $now;
            $averaged = $decay * 0.5 * ($now + $before);
            $before = $now;
            $tuned = $stretch * ($averaged - $passOut) + $passIn;
            $passIn = $averaged;
            $passOut = $tuned;
            $line[$place] = $tuned;
            if (++$place === $whole) {
                $place = 0;
            }
        }

        return $out;
    }

    /** @return list<float> one period of noise */
    private function excitation(int $length, float $brightness, float $pickAt, int $seed): array
    {
        $noise = new Noise($seed);
        $smooth = 0.0;
        $line = [];
        for ($i = 0; $i < $length; $i++) {
            $smooth += $brightness * ($noise->next() - $smooth);
            $line[] = $smooth;
        }
        $shift = max(1, (int) round($pickAt * $length));
        $combed = [];
        foreach ($line as $i => $value) {
            $combed[] = $value - self::COMB * $line[($i + $length - $shift) % $length];
        }
        $mean = array_sum($combed) / $length;

        return array_map(static fn (float $value): float => $value - $mean, $combed);
    }

    /**
     * Played faster and slower as the pitch glides.
     *
     * @param list<float>                         $samples
     * @param non-empty-list<array{float, float}> $glide
     *
     * @return list<float>
     */
    private function bent(array $samples, array $glide): array
    {
        $out = [];
        $at = 0.0;
        $point = 0;
        $last = count($samples) - 2;
        for ($i = 0; $at < $last; $i++) {
            $whole = (int) $at;
            $part = $at - $whole;
            $out[] = $samples[$whole] * (1 - $part) + $samples[$whole + 1] * $part;
            $t = $i / $this->rate;
            while (isset($glide[$point + 1]) && $glide[$point + 1][0] <= $t) {
                $point++;
            }
            [$from, $semitones] = $glide[$point];
            if (isset($glide[$point + 1]) && $t > $from) {
                [$to, $next] = $glide[$point + 1];
                $semitones += ($next - $semitones) * ($t - $from) / max(1e-9, $to - $from);
            }
            $at += $semitones === 0.0 ? 1.0 : 2 ** ($semitones / 12);
        }

        return $out;
    }
}
