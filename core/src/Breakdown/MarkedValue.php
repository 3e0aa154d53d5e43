<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\MarkNotPossible;
use Gravik\Chart\Place;

/** One value of a breakdown, as a mark points to it. */
final readonly class MarkedValue
{
    /**
     * @param string $id     of the section, pattern, line, figure or pass; '' for what needs none
     * @param ?Place $at     of a chord or a grip
     * @param int    $stream of a stroke, from 0
     * @param int    $tick   of a stroke in its pattern
     */
    public function __construct(
        public Marked $what,
        public string $field,
        public string $id = '',
        public ?Place $at = null,
        public int $stream = 0,
        public int $tick = 0,
    ) {
        match (true) {
            ! in_array($field, $what->fields(), true) => throw new MarkNotPossible(
                'field',
                sprintf('of a %s can be marked: %s.', $what->value, implode(', ', $what->fields())),
            ),
            $what->hasId() === ($id === '') => throw new MarkNotPossible(
                'id',
                "of a {$what->value} is ".($what->hasId() ? 'needed.' : 'not needed.'),
            ),
            $what->hasPlace() === ($at === null) => throw new MarkNotPossible(
                'at',
                "of a {$what->value} is ".($what->hasPlace() ? 'needed.' : 'not needed.'),
            ),
            $stream < 0 || $stream > 1 || $tick < 0 => throw new MarkNotPossible('tick', 'and stream of a stroke are in its pattern.'),
            default => null,
        };
    }

    public function equals(self $other): bool
    {
        return [$this->what, $this->field, $this->id, $this->stream, $this->tick]
            === [$other->what, $other->field, $other->id, $other->stream, $other->tick]
            && ($this->at === null ? $other->at === null : $other->at !== null && $this->at->equals($other->at));
    }
}
