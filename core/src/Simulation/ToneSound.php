<?php

declare(strict_types=1);

namespace Gravik\Simulation;

/**
 * Keys, horns and leads as samples: partials that are added, piano strings dying away, the rest held. The browser's synth makes
 * the same sound from the same figures.
 */
final readonly class ToneSound
{
    /**
     * kind => [seconds, attack s, decay s of the first partial, levels of the partials, how stiff the string is, level of the
     * loudest sample]. A stiff string's partials lie higher than multiples of the first: n √(1 + B n²).
     */
    private const VOICES = [
        'keys' => [3.0, 0.004, 1.1, [1.0, 0.42, 0.2, 0.11, 0.05], 0.0004, 0.34],
        'organ' => [6.0, 0.006, 60.0, [1.0, 0.7, 0.45, 0.3, 0.0, 0.16, 0.0, 0.1], 0.0, 0.28],
        'accordion' => [6.0, 0.03, 60.0, [1.0, 0.6, 0.75, 0.4, 0.4, 0.22, 0.2, 0.12, 0.08], 0.0, 0.26],
        'horn' => [6.0, 0.028, 30.0, [1.0, 0.72, 0.6, 0.42, 0.28, 0.18, 0.1, 0.06], 0.0, 0.25],
        'voice' => [6.0, 0.035, 60.0, [1.0, 0.5, 0.28, 0.3, 0.1, 0.04], 0.0, 0.34],
        'bow' => [6.0, 0.05, 60.0, [1.0, 0.55, 0.42, 0.3, 0.24, 0.17, 0.13, 0.1, 0.07], 0.0, 0.3],
    ];

    /** A partial this high in the spectrum is left out. */
    private const HIGHEST_SHARE = 0.45;

    public function __construct(private int $rate) {}

    /**
     * @param int   $pitch MIDI
     * @param 'keys'|'organ'|'accordion'|'horn'|'voice'|'bow' $kind
     * @param float $most  seconds that are needed of it
     *
     * @return list<float> −1 to 1
     */
    public function of(int $pitch, string $kind, float $most = INF): array
    {
        [$seconds, $attack, $decay, $partials, $stiff, $level] = self::VOICES[$kind];
        $hz = 440 * 2 ** (($pitch - 69) / 12);
        $out = [];
        $count = (int) (min($seconds, $most) * $this->rate);
        for ($i = 0; $i < $count; $i++) {
            $t = $i / $this->rate;
            $sample = 0.0;
            foreach ($partials as $number => $share) {
                $partial = ($number + 1) * sqrt(1 + $stiff * ($number + 1) ** 2) * $hz;
                if ($partial < self::HIGHEST_SHARE * $this->rate) {
                    $sample += $share * sin(2 * M_PI * $partial * $t) * exp(-$t * ($number + 1) / $decay);
                }
            }
            $out[] = $sample * min(1.0, $t / $attack);
        }

        return Samples::shaped($out, $level, $this->rate);
    }
}
