<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use XMLWriter;

/**
 * How a note is come to and left, in the words of a score.
 *
 * @internal used by NoteXml
 */
final readonly class OrnamentXml
{
    /** Whether it is written as a small note before its note. */
    public static function hasGrace(?Ornament $ornament): bool
    {
        return $ornament !== null && $ornament->frets !== 0
            && in_array($ornament->kind, [OrnamentKind::SlideIn, OrnamentKind::Grace, OrnamentKind::HammerOn, OrnamentKind::PullOff], true);
    }

    public static function slides(?Ornament $ornament): bool
    {
        return $ornament?->kind === OrnamentKind::SlideIn;
    }

    /** @return list<array{string, ?string, ?string}> element, text, type */
    public static function technical(?Ornament $ornament, bool $grace): array
    {
        if ($ornament === null) {
            return [];
        }
        $type = $grace ? 'start' : 'stop';

        return match ($ornament->kind) {
            OrnamentKind::HammerOn => [['hammer-on', 'H', $type]],
            OrnamentKind::PullOff => [['pull-off', 'P', $type]],
            OrnamentKind::Bend => [['bend', (string) $ornament->frets, null]],
            OrnamentKind::Bent => [['bend', (string) $ornament->frets, 'pre-bend']],
            OrnamentKind::BendRelease => [['bend', (string) $ornament->frets, null], ['bend', (string) -$ornament->frets, 'release']],
            OrnamentKind::Release => [['bend', (string) $ornament->frets, 'pre-bend'], ['bend', (string) -$ornament->frets, 'release']],
            OrnamentKind::SlideIn, OrnamentKind::SlideOut, OrnamentKind::Grace, OrnamentKind::Vibrato, OrnamentKind::Drag => [],
        };
    }

    /** @return list<string> */
    public static function articulations(?Ornament $ornament): array
    {
        return $ornament?->kind === OrnamentKind::SlideOut ? [$ornament->frets < 0 ? 'falloff' : 'doit'] : [];
    }

    /**
     * @param list<array{string, ?string, ?string}> $technical element, text, type: of a bend what it contains besides
     * @param 'start'|'stop'                        $end       of the slide
     */
    public static function write(XMLWriter $xml, ?Ornament $ornament, array $technical, string $end): void
    {
        if (self::slides($ornament)) {
            $xml->startElement('slide');
            $xml->writeAttribute('type', $end);
            $xml->endElement();
        }
        if ($ornament?->kind === OrnamentKind::Vibrato) {
            $xml->startElement('ornaments');
            foreach (['start', 'stop'] as $type) {
                $xml->startElement('wavy-line');
                $xml->writeAttribute('type', $type);
                $xml->endElement();
            }
            $xml->endElement();
        }
        if ($technical === []) {
            return;
        }
        $xml->startElement('technical');
        foreach ($technical as [$name, $text, $type]) {
            $xml->startElement($name);
            if ($name === 'bend') {
                $xml->writeElement('bend-alter', (string) $text);
                if ($type !== null) {
                    $xml->writeElement($type);
                }
            } else {
                if ($type !== null) {
                    $xml->writeAttribute('type', $type);
                }
                if ($text !== null) {
                    $xml->text($text);
                }
            }
            $xml->endElement();
        }
        $xml->endElement();
    }
}
