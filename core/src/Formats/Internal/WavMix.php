<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal;

/**
 * How the channels of a recording become one: their mean, or one of them where they would cancel each other; and what
 * constant the whole lies off zero by.
 *
 * @internal used by WavSource
 */
final readonly class WavMix
{
    /** What is left of two channels' energy where they cancel each other: −20 dB. */
    private const CANCELS = 0.01;

    /** A mean this small is the sound's own. */
    private const OFFSET = 0.004;

    /** Of fewer samples the mean says nothing of an offset. */
    private const FEWEST_FRAMES = 2000;

    /**
     * @param ?int  $channel the one that is heard alone, from 0; null: all of them
     * @param float $offset  to be taken off every sample
     */
    public function __construct(public ?int $channel = null, public float $offset = 0.0) {}

    /** @param list<list<int|float>> $probes stretches of samples from all over the recording, channels in turn */
    public static function of(array $probes, int $channels): self
    {
        $energies = array_fill(0, $channels, 0.0);
        $means = array_fill(0, $channels, 0.0);
        $mixed = 0.0;
        $frames = 0;
        foreach ($probes as $values) {
            for ($i = 0, $count = count($values); $i + $channels <= $count; $i += $channels) {
                $sum = 0.0;
                for ($channel = 0; $channel < $channels; $channel++) {
                    $value = (float) $values[$i + $channel];
                    $energies[$channel] += $value * $value;
                    $means[$channel] += $value;
                    $sum += $value;
                }
                $mixed += ($sum / $channels) ** 2;
                $frames++;
            }
        }
        $loudest = (int) array_search(max(0.0, ...$energies), $energies, true);
        $channel = $channels > 1 && $energies[$loudest] > 0.0 && $mixed < self::CANCELS * array_sum($energies) / $channels
            ? $loudest
            : null;
        $mean = $frames < self::FEWEST_FRAMES ? 0.0 : ($channel === null ? array_sum($means) / $channels : $means[$channel]) / $frames;

        return new self($channel, abs($mean) < self::OFFSET ? 0.0 : $mean);
    }

    /**
     * @param list<int|float> $values of all channels in turn
     *
     * @return list<float> of one channel
     */
    public function mixed(array $values, int $channels): array
    {
        $offset = $this->offset;
        if ($channels === 1) {
            return array_map(static fn (int|float $value): float => $value - $offset, $values);
        }
        $out = [];
        for ($i = $this->channel ?? 0, $count = count($values); $i < $count; $i += $channels) {
            if ($this->channel !== null) {
                $out[] = $values[$i] - $offset;
                continue;
            }
            $sum = 0.0;
            for ($channel = 0; $channel < $channels; $channel++) {
                $sum += $values[$i + $channel];
            }
            $out[] = $sum / $channels - $offset;
        }

        return $out;
    }
}
