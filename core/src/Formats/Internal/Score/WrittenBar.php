<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

use XMLWriter;

/**
 * A bar as it stands in the score, with the repeat signs and endings at its lines.
 *
 * @internal used by MusicXmlFile
 */
final readonly class WrittenBar
{
    /**
     * @param int       $bar         of the song as it is played, where it comes first
     * @param ?int      $back        how often the stretch is played that ends with it
     * @param list<int> $endingFrom  the times in which it is the first bar of the ending
     * @param list<int> $endingUntil the times in which it is the last
     */
    public function __construct(
        public int $bar,
        public bool $opens = false,
        public ?int $back = null,
        public array $endingFrom = [],
        public array $endingUntil = [],
    ) {}

    public function left(XMLWriter $xml): void
    {
        if (! $this->opens && $this->endingFrom === []) {
            return;
        }
        $this->line($xml, 'left', $this->opens ? 'heavy-light' : null, function () use ($xml): void {
            $this->ending($xml, $this->endingFrom, 'start');
            if ($this->opens) {
                $xml->startElement('repeat');
                $xml->writeAttribute('direction', 'forward');
                $xml->endElement();
            }
        });
    }

    public function right(XMLWriter $xml): void
    {
        if ($this->back === null && $this->endingUntil === []) {
            return;
        }
        $this->line($xml, 'right', $this->back === null ? null : 'light-heavy', function () use ($xml): void {
            $this->ending($xml, $this->endingUntil, $this->back === null ? 'discontinue' : 'stop');
            if ($this->back !== null) {
                $xml->startElement('repeat');
                $xml->writeAttribute('direction', 'backward');
                if ($this->back > 2) {
                    $xml->writeAttribute('times', (string) $this->back);
                }
                $xml->endElement();
            }
        });
    }

    /** @param callable(): void $inside */
    private function line(XMLWriter $xml, string $location, ?string $style, callable $inside): void
    {
        $xml->startElement('barline');
        $xml->writeAttribute('location', $location);
        if ($style !== null) {
            $xml->writeElement('bar-style', $style);
        }
        $inside();
        $xml->endElement();
    }

    /** @param list<int> $times */
    private function ending(XMLWriter $xml, array $times, string $type): void
    {
        if ($times === []) {
            return;
        }
        $xml->startElement('ending');
        $xml->writeAttribute('number', implode(', ', $times));
        $xml->writeAttribute('type', $type);
        if ($type === 'start') {
            $xml->text(implode(', ', $times).'.');
        }
        $xml->endElement();
    }
}
