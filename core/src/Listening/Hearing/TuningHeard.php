<?php

declare(strict_types=1);

namespace Gravik\Listening\Hearing;

use Gravik\Neck\Tuning;

/** How a recording is tuned. */
final readonly class TuningHeard
{
    private const STANDARD_LOWEST = 40;

    /**
     * @param float $cents  from A = 440, −50 to 50, + sharp; whole half steps show only in the lowest note
     * @param int   $lowest MIDI number of the lowest note that sounds more than once
     * @param int   $from   strokes it was measured from
     */
    public function __construct(public float $cents, public int $lowest, public int $from) {}

    /**
     * The tunings whose lowest string is the lowest note heard; what lies within reach of the standard tuning is taken
     * for it.
     *
     * @return non-empty-list<Tuning>
     */
    public function nearest(): array
    {
        $standard = Tuning::standard();
        if ($this->lowest >= self::STANDARD_LOWEST) {
            return [$standard];
        }
        $near = array_values(array_filter(
            array_map(static fn (string $slug): Tuning => Tuning::parse($slug), array_keys(Tuning::known())),
            fn (Tuning $tuning): bool => $tuning->strings() === $standard->strings() && $tuning->openMidi(0)[0] === $this->lowest,
        ));

        return $near === [] ? [$standard] : $near;
    }
}
