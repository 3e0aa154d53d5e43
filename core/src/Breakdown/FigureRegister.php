<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

/** A place on the neck where a figure can be played. */
final readonly class FigureRegister
{
    /**
     * @param int $near    fret of the hand
     * @param int $octave  to be asked for there, up or down from where it lies nearest to that hand
     * @param int $octaves it sounds up or down from how it is typed
     * @param int $strings its first note lies lower (+) or higher (−) than where it is typed
     */
    public function __construct(public int $near, public int $octave, public int $octaves, public int $strings) {}

    /** one string lower, at fret 8 */
    public function words(): string
    {
        $words = [];
        if ($this->octaves !== 0) {
            $words[] = (abs($this->octaves) === 1 ? 'an octave ' : 'two octaves ').($this->octaves > 0 ? 'up' : 'down');
        }
        if ($this->strings !== 0 && $this->octaves === 0) {
            $many = abs($this->strings) === 1 ? 'one string' : abs($this->strings).' strings';
            $words[] = $many.($this->strings > 0 ? ' lower' : ' higher');
        }

        $words[] = 'at fret '.$this->near;

        return implode(', ', count($words) === 1 ? ['as typed', ...$words] : $words);
    }
}
