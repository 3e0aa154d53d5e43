<?php

declare(strict_types=1);

namespace Gravik\Ensemble;

use Gravik\Band\BandPart;
use Gravik\Band\Instrument;
use Gravik\Band\Register;

/**
 * How much of what a part plays lies where the soloist is at home: out of that range comping may be stronger, within it the
 * two cover one another (rules of thumb).
 */
final readonly class SharedRange
{
    private const APART = 0.1;

    private const COVERS = 0.5;

    /** @param float $share of its notes, 0 to 1 */
    private function __construct(public BandPart $part, public Register $soloist, public float $share) {}

    /** @return list<self> of the parts that comp; none where nobody leads */
    public static function all(Heard $heard): array
    {
        $range = $heard->part(Instrument::Lead)?->register();
        if ($range === null) {
            return [];
        }
        $shares = [];
        foreach ($heard->chordal() as $part) {
            $pitches = [];
            foreach ($heard->timeline->events as $event) {
                if ($event->part->id === $part->id && $event->pitch !== null) {
                    $pitches[] = $event->pitch;
                }
            }
            $within = array_filter($pitches, static fn (int $pitch): bool => $pitch >= $range->low && $pitch <= $range->high);
            if ($pitches !== []) {
                $shares[] = new self($part, $range, count($within) / count($pitches));
            }
        }

        return $shares;
    }

    public function words(): string
    {
        $part = ucfirst(Heard::name($this->part));

        return match (true) {
            $this->share <= self::APART => "{$part} keeps out of the soloist’s range and may back a little stronger.",
            $this->share <= self::COVERS => sprintf(
                '%d %% of what %s plays lies in the soloist’s range.',
                round(100 * $this->share),
                Heard::name($this->part),
            ),
            default => sprintf(
                '%d %% of what %s plays lies in the soloist’s range: other strings, fewer notes or less loudness leave it free.',
                round(100 * $this->share),
                Heard::name($this->part),
            ),
        };
    }
}
