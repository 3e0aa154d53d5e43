<?php

declare(strict_types=1);

namespace Gravik\Breakdown;

use Gravik\Breakdown\Failure\PassWordsTooLong;

/** One time through the form. */
final readonly class Pass
{
    /**
     * @param list<Cell> $cells what is different in it
     * @param string     $lead  who leads, such as voice or clarinet
     */
    public function __construct(
        public string $id,
        public string $name = '',
        public string $notes = '',
        public array $cells = [],
        public string $lead = '',
    ) {
        if (max(mb_strlen($name), mb_strlen($lead)) > 40 || mb_strlen($notes) > 400) {
            throw new PassWordsTooLong();
        }
    }

    /** @param list<Cell> $cells */
    public function with(array $cells): self
    {
        return new self($this->id, $this->name, $this->notes, $cells, $this->lead);
    }
}
