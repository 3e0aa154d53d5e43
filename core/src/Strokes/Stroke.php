<?php

declare(strict_types=1);

namespace Gravik\Strokes;

use Gravik\Strokes\Failure\StrokeValueOutOfRange;

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
     * @param ?int            $level     from which level of the thinned pattern it is played, 1 to 3; null by its metrical weight
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
        public ?int $level = null,
    ) {
        in_array($division, [1, 2, 3, 4, 6], true) || throw new StrokeValueOutOfRange('division', 'is 1, 2, 3, 4 or 6.');
        ($accent >= 0 && $accent <= self::STRONGEST_ACCENT) || throw new StrokeValueOutOfRange('accent', 'is 0 (soft) to 3 (hardest).');
        ($level === null || ($level >= 1 && $level <= 3)) || throw new StrokeValueOutOfRange('level', 'is 1, 2 or 3.');
        abs($offsetMs) <= 250 || throw new StrokeValueOutOfRange('offset', 'is at most 250 ms early or late.');
    }

    public function towards(Direction $direction): self
    {
        return $this->with(direction: $direction);
    }

    public function movedTo(int $at, int $division): self
    {
        return $this->with(at: $at, division: $division);
    }

    /** On the nearest slot of its own beat, divided so. */
    public function onNearestSlot(int $beatTicks, int $division): self
    {
        $slot = intdiv($beatTicks, $division);

        return $this->movedTo(
            intdiv($this->at, $beatTicks) * $beatTicks + min($division - 1, (int) round($this->at % $beatTicks / $slot)) * $slot,
            $division,
        );
    }

    public function articulated(Articulation $articulation): self
    {
        return $this->with(articulation: $articulation);
    }

    public function accented(int $accent): self
    {
        return $this->with(accent: $accent);
    }

    public function lasting(?Length $length): self
    {
        return $this->with(length: $length, keepsLength: false);
    }

    /** The same stroke as it was counted anew: what a count does not say (strings, ornament, placement) stays. */
    public function recounted(self $counted): self
    {
        $length = $counted->articulation === $this->articulation ? $this->length : null;

        return new self(
            $counted->at,
            $counted->division,
            $this->action,
            $counted->direction,
            $this->by,
            $this->strings,
            $counted->articulation,
            $counted->accent,
            $length,
            $this->stoppedBy,
            $this->ends,
            $this->offsetMs,
            $this->ornament,
            $counted->chord,
            $counted->fixed,
            $this->level,
        );
    }

    /** @param list<int>|Zone $strings */
    public function striking(array|Zone $strings, Action $action, PlayedBy $by): self
    {
        return new self(
            $this->at,
            $this->division,
            $action,
            $this->direction,
            $by,
            $strings,
            $this->articulation,
            $this->accent,
            $this->length,
            $this->stoppedBy,
            $this->ends,
            $this->offsetMs,
            $this->ornament,
            $this->chord,
            $this->fixed,
            $this->level,
        );
    }

    /** Placed against the grid, + late. */
    public function placed(float $offsetMs): self
    {
        return $this->with(offsetMs: $offsetMs);
    }

    /** With all its strings ending as its own length says. */
    public function endingTogether(): self
    {
        return $this->with(ends: []);
    }

    /** Struck at a tick together with the chord it belongs to. */
    public function withItsChord(int $at): self
    {
        return $this->with(at: $at, chord: ChordOf::This);
    }

    /** Without its ornament. */
    public function plain(): self
    {
        return $this->with(keepsOrnament: false);
    }

    public function ornamented(Ornament $ornament): self
    {
        return $this->with(ornament: $ornament, keepsOrnament: false);
    }

    /** With this field given back to the school. */
    public function freed(string $field): self
    {
        return $this->with(fixed: array_values(array_diff($this->fixed, [$field])));
    }

    /** With this field as the teacher set it, whatever the school says. */
    public function heldTo(string $field): self
    {
        return $this->with(fixed: array_values(array_unique([...$this->fixed, $field])));
    }

    /**
     * @param ?list<StringEnd> $ends
     * @param ?list<string>    $fixed
     */
    private function with(
        ?int $at = null,
        ?int $division = null,
        ?Direction $direction = null,
        ?Articulation $articulation = null,
        ?int $accent = null,
        ?Length $length = null,
        bool $keepsLength = true,
        ?Ornament $ornament = null,
        bool $keepsOrnament = true,
        ?array $fixed = null,
        ?array $ends = null,
        ?ChordOf $chord = null,
        ?float $offsetMs = null,
    ): self {
        return new self(
            $at ?? $this->at,
            $division ?? $this->division,
            $this->action,
            $direction ?? $this->direction,
            $this->by,
            $this->strings,
            $articulation ?? $this->articulation,
            $accent ?? $this->accent,
            $keepsLength ? $this->length : $length,
            $this->stoppedBy,
            $ends ?? $this->ends,
            $offsetMs ?? $this->offsetMs,
            $keepsOrnament ? $this->ornament : $ornament,
            $chord ?? $this->chord,
            $fixed ?? $this->fixed,
            $this->level,
        );
    }

    public function hasFixed(string $field): bool
    {
        return in_array($field, $this->fixed, true);
    }

    /** Whether the fretting hand holds nothing down here: all strings it held fall silent. */
    public function freesTheHand(): bool
    {
        return $this->isDead() || $this->chord === ChordOf::Open;
    }

    /** Whether it sounds, and is let go before its time is over. */
    public function isLetGo(): bool
    {
        return ! $this->isDead() && ($this->articulation === Articulation::Short || $this->length !== null);
    }

    /** A stroke without pitch: the fretting hand damps, or the pick hand comes down on the strings. */
    public function isDead(): bool
    {
        return $this->articulation === Articulation::Chuck || in_array($this->action, [Action::Slap, Action::TapDamp], true);
    }

    /**
     * @param int $order of the string among those that are struck, from 0
     * @param int $of    how many are struck
     */
    public function isDeadOn(int $order, int $of): bool
    {
        return $this->isDead() || ($this->contact() === Contact::Dragged && $order < $of - 1);
    }

    public function contact(): Contact
    {
        return match ($this->action) {
            Action::Pinch, Action::Slap, Action::TapDamp => Contact::Together,
            Action::Rake => Contact::Dragged,
            Action::Strum, Action::Pick, Action::Brush => $this->by === PlayedBy::PickAndFinger ? Contact::Together : Contact::Across,
        };
    }

    /** The only way it can go, whatever the school says: thumb and pick lead downwards, a finger that does not brush pulls up. */
    public function ownDirection(): ?Direction
    {
        if ($this->contact() === Contact::Together) {
            return Direction::Down;
        }

        return $this->action !== Action::Brush && in_array($this->by, [PlayedBy::Index, PlayedBy::Middle, PlayedBy::Ring], true)
            ? Direction::Up
            : null;
    }
}
