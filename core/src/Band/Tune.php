<?php

declare(strict_types=1);

namespace Gravik\Band;

use Gravik\Band\Failure\TuneNotPossible;

/** A melody that somebody plays over the form, written out. */
final readonly class Tune
{
    public const MOST_NOTES = 4000;

    public const LONGEST_NAME = 80;

    /**
     * @param list<BandNote> $notes  in order of time, ticks from the first bar of a pass
     * @param ?list<string>  $passes ids of those it is played in; null for all
     */
    public function __construct(public string $name, public array $notes, public ?array $passes = null)
    {
        if ($notes === [] || count($notes) > self::MOST_NOTES) {
            throw new TuneNotPossible(sprintf('has 1 to %d notes; this one has %d', self::MOST_NOTES, count($notes)));
        }
        if (mb_strlen($name) > self::LONGEST_NAME) {
            throw new TuneNotPossible('is named in at most 80 characters');
        }
        $before = 0;
        foreach ($notes as $number => $note) {
            if ($note->tick < $before || $note->until <= $note->tick || $note->pitch < 0 || $note->pitch > 127) {
                throw new TuneNotPossible(sprintf(
                    'has its notes in order of time, each with a length and a pitch from 0 to 127: note %d has not',
                    $number + 1,
                ));
            }
            $before = $note->tick;
        }
    }

    /** @param ?list<string> $passes null for all */
    public function in(?array $passes): self
    {
        return new self($this->name, $this->notes, $passes);
    }

    public function isPlayedIn(string $pass): bool
    {
        return $this->passes === null || in_array($pass, $this->passes, true);
    }
}
