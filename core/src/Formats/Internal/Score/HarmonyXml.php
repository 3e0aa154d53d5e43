<?php

declare(strict_types=1);

namespace Gravik\Formats\Internal\Score;

use Gravik\Harmony\ChordSymbol;
use Gravik\Neck\Grip\Voicing;
use Gravik\Pitch\NoteName;
use XMLWriter;

/**
 * A chord symbol over the staff, with its kind, what is altered, and the grip as a frame.
 *
 * @internal used by MusicXmlFile
 */
final readonly class HarmonyXml
{
    /** ending => kind of MusicXML; what stands in none is told by its degrees over the nearest. */
    public const KINDS = [
        '' => 'major', 'm' => 'minor', '7' => 'dominant', 'maj7' => 'major-seventh', 'm7' => 'minor-seventh', 'dim' => 'diminished',
        'dim7' => 'diminished-seventh', 'aug' => 'augmented', 'm7♭5' => 'half-diminished', '6' => 'major-sixth', 'm6' => 'minor-sixth',
        '9' => 'dominant-ninth', 'maj9' => 'major-ninth', 'm9' => 'minor-ninth', '11' => 'dominant-11th', 'm11' => 'minor-11th',
        'maj11' => 'major-11th', '13' => 'dominant-13th', 'maj13' => 'major-13th', 'm13' => 'minor-13th',
        'sus2' => 'suspended-second', 'sus4' => 'suspended-fourth', '5' => 'power', 'mMaj7' => 'major-minor',
    ];

    /** ending => kind, and [degree, alter, add | alter | subtract] beyond it */
    private const DEGREES = [
        '7♭9' => ['dominant', [[9, -1, 'add']]], '7♯9' => ['dominant', [[9, 1, 'add']]], '7♯11' => ['dominant', [[11, 1, 'add']]],
        '7♭5' => ['dominant', [[5, -1, 'alter']]], '7♯5' => ['dominant', [[5, 1, 'alter']]], '7♭13' => ['dominant', [[13, -1, 'add']]],
        '13♭9' => ['dominant-13th', [[9, -1, 'alter']]], '13♯11' => ['dominant-13th', [[11, 1, 'alter']]],
        'add9' => ['major', [[9, 0, 'add']]], 'madd9' => ['minor', [[9, 0, 'add']]], '6/9' => ['major-sixth', [[9, 0, 'add']]],
        'm6/9' => ['minor-sixth', [[9, 0, 'add']]], '7sus4' => ['suspended-fourth', [[7, -1, 'add']]],
        '9sus4' => ['suspended-fourth', [[7, -1, 'add'], [9, 0, 'add']]],
        '13sus4' => ['suspended-fourth', [[7, -1, 'add'], [13, 0, 'add']]],
        'maj7♯11' => ['major-seventh', [[11, 1, 'add']]], 'no3' => ['major', [[3, 0, 'subtract']]],
        '7alt' => ['dominant', [[5, -1, 'alter'], [9, -1, 'add'], [9, 1, 'add']]],
    ];

    /**
     * @param ?Voicing $grip   drawn as a frame where it is given
     * @param int      $offset ticks by which it comes later than what is written next
     */
    public static function write(XMLWriter $xml, ChordSymbol $chord, ?Voicing $grip, int $offset = 0): void
    {
        [$kind, $degrees] = self::DEGREES[$chord->ending] ?? [self::KINDS[$chord->ending] ?? 'other', []];
        $xml->startElement('harmony');
        $xml->startElement('root');
        self::step($xml, 'root', $chord->root);
        $xml->endElement();
        $xml->startElement('kind');
        $xml->writeAttribute('text', $chord->ending);
        $xml->text($kind);
        $xml->endElement();
        if ($chord->bass !== null) {
            $xml->startElement('bass');
            self::step($xml, 'bass', $chord->bass);
            $xml->endElement();
        }
        foreach ($degrees as [$value, $alter, $type]) {
            $xml->startElement('degree');
            $xml->writeAttribute('print-object', 'no');
            $xml->writeElement('degree-value', (string) $value);
            $xml->writeElement('degree-alter', (string) $alter);
            $xml->writeElement('degree-type', $type);
            $xml->endElement();
        }
        if ($grip !== null) {
            self::frame($xml, $grip);
        }
        if ($offset > 0) {
            $xml->writeElement('offset', (string) $offset);
        }
        $xml->endElement();
    }

    public static function step(XMLWriter $xml, string $of, NoteName $name): void
    {
        $xml->writeElement("{$of}-step", 'CDEFGAB'[$name->letter]);
        if ($name->alter !== 0) {
            $xml->writeElement("{$of}-alter", (string) $name->alter);
        }
    }

    private static function frame(XMLWriter $xml, Voicing $grip): void
    {
        $pressed = array_filter($grip->frets, static fn (?int $fret): bool => $fret !== null && $fret > 0);
        $first = $pressed === [] || max($pressed) <= 4 ? 1 : min($pressed);
        $strings = count($grip->frets);
        $xml->startElement('frame');
        $xml->writeElement('frame-strings', (string) $strings);
        $xml->writeElement('frame-frets', (string) max(4, $pressed === [] ? 4 : max($pressed) - $first + 1));
        if ($first > 1) {
            $xml->writeElement('first-fret', (string) $first);
        }
        foreach ($grip->frets as $string => $fret) {
            if ($fret !== null) {
                $xml->startElement('frame-note');
                $xml->writeElement('string', (string) ($strings - $string));
                $xml->writeElement('fret', (string) $fret);
                $finger = $grip->fingers[$string];
                if ($fret > 0 && $finger !== null) {
                    $xml->writeElement('fingering', $finger > 4 ? 'T' : (string) $finger);
                }
                $xml->endElement();
            }
        }
        $xml->endElement();
    }
}
