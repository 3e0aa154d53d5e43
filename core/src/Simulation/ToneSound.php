<?php

declare(strict_types=1);

namespace Gravik\Simulation;

/**
 * Keys and horns as samples: partials that are added, keys dying away, horns held. The browser's synth makes the same sound
 * from the same figures.
 */
final readonly class ToneSound
{
    /** kind => [seconds, attack s, decay s of the first partial, levels of the partials, level of the loudest sample] */
    private const VOICES = [
        'keys' => [3.0, 0.004, 1.1, [1.0, 0.42, 0.2, 0.11, 0.05], 0.34],
        'horn' => [2.5, 0.028, 30.0, [1.0, 0.72, 0.6, 0.42, 0.28, 0.18, 0.1, 0.06], 0.3],
    ];

    /** A partial this high in the spectrum is left out. */
    private const HIGHEST_SHARE = 0.45;

    public function __construct(private int $rate) {}

    /**
     * @param int           $pitch MIDI
     * @param 'keys'|'horn' $kind
     * @param float         $most  seconds that are needed of it
     *
     * @return list<float> −1 to 1
     */
    public function of(int $pitch, string $kind, float $most = INF): array
    {
        [$seconds, $attack, $decay, $partials, $level] = self::VOICES[$kind];
        $hz = 440 * 2 ** (($pitch - 69) / 12);
        $out = [];
        $count = (int) (min($seconds, $most) * $this->rate);
        for ($i = 0; $i < $count; $i++) {
            $t = $i / $this->rate;
            $sample = 0.0;
            foreach ($partials as $number => $share) {
                if (($number + 1) * $hz < self::HIGHEST_SHARE * $this->rate) {
                    $sample += $share * sin(2 * M_PI * ($number + 1) * $hz * $t) * exp(-$t * ($number + 1) / $decay);
                }
            }
            $out[] = $sample * min(1.0, $t / $attack);
        }

        return Samples::shaped($out, $level, $this->rate);
    }
}
