<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Breakdown\FigureLayout;
use Gravik\Breakdown\FigureNote;
use Gravik\Breakdown\FixedNote;
use Gravik\Breakdown\PlacedFigure;
use Gravik\Breakdown\TypedFigure;
use Gravik\Harmony\ChordSymbol;
use Gravik\Harmony\Key;
use Gravik\Neck\Grip\Voicing;
use Gravik\Neck\Melody\HeldShell;
use Gravik\Neck\Melody\LineWay;
use Gravik\Neck\Melody\RiffNote;
use Gravik\Neck\Neck;
use Gravik\Strokes\Counting;
use Gravik\Strokes\Ornament;
use Gravik\Strokes\OrnamentKind;
use Gravik\Strokes\Shaping\LineRooms;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'FixedNote', required: ['stream', 'tick', 'note', 'string', 'fret'], properties: [
    new OA\Property(property: 'stream', type: 'integer'),
    new OA\Property(property: 'tick', description: 'of its stroke, from the start of the figure', type: 'integer'),
    new OA\Property(property: 'note', description: 'string it is typed on', type: 'integer'),
    new OA\Property(property: 'string', description: 'it is played on', type: 'integer'),
    new OA\Property(property: 'fret', type: 'integer'),
])]
#[OA\Schema(schema: 'LaidNote', required: ['string', 'fret', 'midi', 'degree', 'note', 'tab', 'fixed', 'way', 'fingers'], properties: [
    new OA\Property(property: 'string', type: 'integer'),
    new OA\Property(property: 'fret', type: 'integer'),
    new OA\Property(property: 'midi', type: 'integer'),
    new OA\Property(property: 'degree', description: 'in the chord it is played over', type: 'string'),
    new OA\Property(property: 'note', description: 'string it is typed on', type: 'integer'),
    new OA\Property(property: 'tab', description: 'the fret, and how it is come to, as tab writes it: 4/5, 3h5, 8b10', type: 'string'),
    new OA\Property(property: 'fixed', description: 'whether its place is chosen', type: 'boolean'),
    new OA\Property(
        property: 'way',
        description: 'how it is had while the grip of its place is held',
        type: 'string',
        enum: LineWay::class,
        nullable: true,
    ),
    new OA\Property(
        property: 'fingers',
        description: 'free ones that can take it',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
])]
#[OA\Schema(schema: 'LaidFigure', required: [
    'strings',
    'typed',
    'over',
    'near',
    'hands',
    'missing',
    'bars',
    'holds',
    'free',
    'rooms',
    'steps',
], properties: [
    new OA\Property(
        property: 'typed',
        description: 'as it would be typed; every eighth counted where nothing is typed yet',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'over', description: 'the chord it is played over', type: 'string'),
    new OA\Property(property: 'strings', description: 'that the guitar has', type: 'integer'),
    new OA\Property(property: 'near', description: 'fret of the hand', type: 'integer'),
    new OA\Property(
        property: 'hands',
        description: 'frets at which all of it lies under the hand, each another way to play it',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(property: 'missing', description: 'notes that lie nowhere on the neck', type: 'integer'),
    new OA\Property(property: 'bars', type: 'integer'),
    new OA\Property(property: 'holds', description: 'whether the grip is held under it', type: 'boolean'),
    new OA\Property(
        property: 'free',
        description: 'fingers that the grip leaves free',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(
        property: 'rooms',
        description: 'where the first line rests for a beat and more, in words',
        type: 'array',
        items: new OA\Items(type: 'string'),
    ),
    new OA\Property(property: 'steps', type: 'array', items: new OA\Items(required: ['stream', 'tick', 'beats', 'notes'], properties: [
        new OA\Property(property: 'stream', type: 'integer'),
        new OA\Property(property: 'tick', type: 'integer'),
        new OA\Property(property: 'beats', description: 'from its start', type: 'number'),
        new OA\Property(
            property: 'notes',
            description: 'none where it strikes the grip',
            type: 'array',
            items: new OA\Items(ref: '#/components/schemas/LaidNote'),
        ),
    ], type: 'object')),
])]
final class FigureResource
{
    /**
     * @param ChordSymbol $over of its place
     * @param ?Voicing    $grip of its place
     *
     * @return array<string, mixed>
     */
    public static function of(PlacedFigure $placed, Neck $neck, ChordSymbol $over, Key $key, ?Voicing $grip): array
    {
        $figure = $placed->figure;
        $layout = new FigureLayout($neck);
        $near = $placed->near ?? max(1, $grip->position ?? 1);
        $laid = $layout->of($figure, $over, $key, $placed->octave, $near, $placed->fixed, $placed->near === null);
        $shell = $grip === null ? null : new HeldShell($neck, $grip);
        $missing = count(array_filter(array_merge([], ...array_merge([], ...$laid)), static fn (?RiffNote $note): bool => $note === null));

        return [
            'strings' => $neck->tuning->strings(),
            'typed' => TypedFigure::write($figure),
            'over' => $over->text(),
            'near' => $near,
            'hands' => $layout->hands($figure, $over, $key, $placed->octave),
            'missing' => $missing,
            'bars' => $figure->pattern->bars(),
            'holds' => $placed->holdsTheGrip(),
            'free' => $shell?->free() ?? [],
            'rooms' => array_map(
                static fn (array $room): string => Counting::place($figure->pattern, $room[0]),
                (new LineRooms($figure->pattern))->of(0),
            ),
            'steps' => self::steps($placed, $laid, $over, $shell),
        ];
    }

    /**
     * @param list<array<int, list<?RiffNote>>> $laid by stream and stroke
     *
     * @return list<array<string, mixed>>
     */
    private static function steps(PlacedFigure $placed, array $laid, ChordSymbol $over, ?HeldShell $shell): array
    {
        $figure = $placed->figure;
        $steps = [];
        foreach ($figure->pattern->streams as $number => $stream) {
            foreach ($stream->strokes as $place => $stroke) {
                $notes = [];
                foreach ($laid[$number][$place] ?? [] as $order => $note) {
                    $written = $figure->notesOf($number, $place)[$order];
                    $isFixed = array_filter(
                        $placed->fixed,
                        static fn (FixedNote $fixed): bool => $fixed->isOf($number, $stroke->at, $written->string),
                    ) !== [];
                    if ($note !== null) {
                        $notes[] = self::note($note, $written, $isFixed, $over, $shell);
                    }
                }
                $steps[] = [
                    'stream' => $number,
                    'tick' => $stroke->at,
                    'beats' => round($stroke->at / $figure->pattern->meter->beatTicks(), 4),
                    'notes' => $notes,
                ];
            }
        }

        return $steps;
    }

    /** @return array<string, mixed> */
    private static function note(RiffNote $note, FigureNote $written, bool $isFixed, ChordSymbol $over, ?HeldShell $shell): array
    {
        return [
            'string' => $note->string,
            'fret' => $note->fret,
            'midi' => $note->midi,
            'degree' => $over->degreeOf($note->midi % 12)->label(),
            'note' => $written->string,
            'tab' => self::tab($note->fret, $written->ornament),
            'fixed' => $isFixed,
            'way' => $shell?->way($note)->value,
            'fingers' => $shell?->fingersFor($note) ?? [],
        ];
    }

    private static function tab(int $fret, ?Ornament $ornament): string
    {
        $other = max(0, $fret + ($ornament->frets ?? 0));

        return match ($ornament?->kind) {
            null => (string) $fret,
            OrnamentKind::Bend => "{$fret}b{$other}",
            OrnamentKind::Bent => "{$fret}B{$other}",
            OrnamentKind::Release => "{$fret}r{$other}",
            OrnamentKind::BendRelease => "{$fret}b{$other}r",
            OrnamentKind::HammerOn => "{$other}h{$fret}",
            OrnamentKind::PullOff => "{$other}p{$fret}",
            OrnamentKind::Grace => "({$other}){$fret}",
            OrnamentKind::SlideIn => $other < $fret ? "{$other}/{$fret}" : "{$other}\\{$fret}",
            OrnamentKind::SlideOut => $other > $fret ? "{$fret}/" : "{$fret}\\",
            OrnamentKind::Vibrato => "{$fret}~",
            OrnamentKind::Drag => (string) $fret,
        };
    }
}
