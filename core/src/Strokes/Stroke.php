<?php

declare(strict_types=1);

namespace Gravik\Strokes;

/** One movement of the pick hand that sounds. */
final readonly class Stroke
{
    public const STRONGEST_ACCENT = 3;

    /**
     * @param int             $at        ticks from the start of the pattern
     * @param int             $division  of the beat this stroke belongs to: 1, 2, 3, 4 or 6
     * @param ?Direction      $direction null until a school gives one
     * @param list<int>|Zone  $strings   string numbers (1 = highest), or a zone of the grip
     * @param int             $accent    0 soft, 1 firm, 2 hard, 3 hardest
     * @param ?Length         $length    null rings until the next stroke on that string, else until the chord changes
     * @param list<StringEnd> $ends      strings that end otherwise than $length says
     * @param float           $offsetMs  placement against the grid, + late; a feel, not an error
     * @param list<string>    $fixed     fields the teacher set by hand and no school may change
     */
    public function __construct(
        public int $at,
        public int $division,
        public Action $action = Action::Strum,
        public ?Direction $direction = null,
        public PlayedBy $by = PlayedBy::Pick,
        public array|Zone $strings = Zone::All,
        public Articulation $articulation = Articulation::Ring,
        public int $accent = 1,
        public ?Length $length = null,
        public ?StoppedBy $stoppedBy = null,
        public array $ends = [],
        public float $offsetMs = 0.0,
        public ?Ornament $ornament = null,
        public ChordOf $chord = ChordOf::This,
        public array $fixed = [],
    ) {
        in_array($division, [1, 2, 3, 4, 6], true) || throw StrokesException::value('division', 'is 1, 2, 3, 4 or 6.');
        ($accent >= 0 && $accent <= self::STRONGEST_ACCENT) || throw StrokesException::value('accent', 'is 0 (soft) to 3 (hardest).');
        abs($offsetMs) <= 250 || throw StrokesException::value('offset', 'is at most 250 ms early or late.');
    }

    public function towards(Direction $direction): self
    {
        return new self($this->at, $this->division, $this->action, $direction, $this->by, $this->strings, $this->articulation,
            $this->accent, $this->length, $this->stoppedBy, $this->ends, $this->offsetMs, $this->ornament, $this->chord, $this->fixed);
    }

    public function movedTo(int $at, int $division): self
    {
        return new self($at, $division, $this->action, $this->direction, $this->by, $this->strings, $this->articulation,
            $this->accent, $this->length, $this->stoppedBy, $this->ends, $this->offsetMs, $this->ornament, $this->chord, $this->fixed);
    }

    public function lasting(?Length $length): self
    {
        return new self($this->at, $this->division, $this->action, $this->direction, $this->by, $this->strings, $this->articulation,
            $this->accent, $length, $this->stoppedBy, $this->ends, $this->offsetMs, $this->ornament, $this->chord, $this->fixed);
    }

    public function articulated(Articulation $articulation): self
    {
        return new self($this->at, $this->division, $this->action, $this->direction, $this->by, $this->strings, $articulation,
            $this->accent, $this->length, $this->stoppedBy, $this->ends, $this->offsetMs, $this->ornament, $this->chord, $this->fixed);
    }

    public function hasFixed(string $field): bool
    {
        return in_array($field, $this->fixed, true);
    }

    /** A stroke without pitch: the fretting hand damps. */
    public function isDead(): bool
    {
        return $this->articulation === Articulation::Chuck;
    }
}
