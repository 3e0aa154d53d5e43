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
    /**
     * kind => [seconds, partials up to which the low E is bright, dB that it loses in a second, level of the loudest sample]. Low
     * strings are darker and ring longer than high ones, as those of guitars do.
     */
    private const VOICES = ['ring' => [3.2, 9.0, 5.5, 0.5], 'palm-mute' => [0.5, 4.5, 33.0, 0.62], 'bass' => [2.4, 3.4, 5.5, 0.4]];

    /** By how much loss grows with the frequency: in octaves, for each octave. */
    private const LOSS = ['ring' => 0.37, 'palm-mute' => 1.0, 'bass' => 0.0];

    private const LOW_E = 40;

    /** A string two octaves higher has so many times the partials. */
    private const BRIGHTER = 1.6;

    /** An up stroke has so many times the partials. */
    private const UP_BRIGHTNESS = 2.4;

    /** Where the pick meets the string, as a share of it: from, and how much farther; another place for every pitch. */
    private const PICK_AT = ['down' => [0.14, 0.1], 'up' => [0.08, 0.06]];

    private const GOLDEN = 0.618033988749895;

    private const COMB = 0.6;

    /** Hz: the lower, the stiffer the low E. Its tenth partial lies 3 cents too high; a string an octave higher is so much softer. */
    private const SOFTNESS = 9000.0;

    private const SOFTER = 2.4;

    /** How loud the pick's click is against the string, and how fast it is gone. */
    private const PICK = 0.4;

    private const PICK_SECONDS = 0.002;

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
        [$seconds, $partials, $lossDb, $level] = self::VOICES[$kind];
        $octaves = ($pitch - self::LOW_E) / 12;
        $hz = 440 * 2 ** (($pitch - 69) / 12);
        [$from, $farther] = self::PICK_AT[$up ? 'up' : 'down'];
        $samples = $this->string(
            $pitch,
            (int) (min($seconds, $most) * $this->rate),
            $partials * self::BRIGHTER ** ($octaves / 2) * ($up ? self::UP_BRIGHTNESS : 1.0),
            10 ** (-$lossDb * 2 ** (self::LOSS[$kind] * $octaves) / $hz / 20),
            $from + $farther * fmod($pitch * self::GOLDEN, 1.0),
        );

        $samples = $kind === 'bass' ? $samples : $this->withPick($samples, $pitch);

        return Samples::shaped($glide === [] ? $samples : $this->bent($samples, $glide), $level, $this->rate);
    }

    /**
     * The pick leaving the string: a click over everything, gone in a few milliseconds.
     *
     * @param list<float> $samples
     *
     * @return list<float>
     */
    private function withPick(array $samples, int $pitch): array
    {
        $noise = new Noise($pitch + 1000);
        $peak = max([0.0, ...array_map(abs(...), array_slice($samples, 0, (int) (0.05 * $this->rate)))]);
        $count = min(count($samples), (int) (self::PICK_SECONDS * 6 * $this->rate));
        for ($i = 0; $i < $count; $i++) {
            $samples[$i] += self::PICK * $peak * $noise->next() * exp(-$i / (self::PICK_SECONDS * $this->rate));
        }

        return array_values($samples);
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
    private function string(int $pitch, int $count, float $partials, float $decay, float $pickAt): array
    {
        $period = $this->rate / (440 * 2 ** (($pitch - 69) / 12));
        // A stiff string carries its high partials faster: an all-pass that delays the first one most.
        $stiff = exp(-self::SOFTNESS * self::SOFTER ** (($pitch - self::LOW_E) / 12) / $this->rate);
        $turn = 2 * M_PI / $period;
        $delayed = 1 + 2 / $turn * atan($stiff * sin($turn) / (1 - $stiff * cos($turn)));
        // The averaging below delays by half a sample; the rest of the period is a whole and a fractional part.
        $rest = $period - 0.5 - $delayed;
        $whole = max(2, (int) floor($rest));
        $fraction = $rest - $whole;
        $stretch = (1 - $fraction) / (1 + $fraction);
        $line = self::excitation($whole, $partials, $pickAt, $pitch);
        $place = 0;
        $before = $passIn = $passOut = $stiffIn = $stiffOut = 0.0;
        $out = [];
        for ($i = 0; $i < $count; $i++) {
            $now = $line[$place];
            $out[] = $now;
            $averaged = $decay * 0.5 * ($now + $before);
            $before = $now;
            $tuned = $stretch * ($averaged - $passOut) + $passIn;
            $passIn = $averaged;
            $passOut = $tuned;
            $carried = $stiffIn - $stiff * ($tuned - $stiffOut);
            $stiffIn = $tuned;
            $stiffOut = $carried;
            $line[$place] = $carried;
            if (++$place === $whole) {
                $place = 0;
            }
        }

        return $out;
    }

    /** @return list<float> one period of noise, dark above so many partials */
    private static function excitation(int $length, float $partials, float $pickAt, int $seed): array
    {
        $noise = new Noise($seed);
        $line = [];
        for ($i = 0; $i < $length; $i++) {
            $line[] = $noise->next();
        }
        // Twice, and twice round: the second time as if it had always gone round.
        $by = 1 - exp(-2 * M_PI * min(0.45, $partials / $length));
        foreach ([1, 2] as $ignored) {
            $smooth = 0.0;
            for ($i = 0; $i < 2 * $length; $i++) {
                $smooth += $by * ($line[$i % $length] - $smooth);
                if ($i >= $length) {
                    $line[$i - $length] = $smooth;
                }
            }
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
