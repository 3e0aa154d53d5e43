<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Gravik\Formats\TakeFile;
use Gravik\Listening\Hearing\NotesHeard;
use Gravik\Listening\PlayedOnset;
use Gravik\Neck\Tuning;
use Gravik\Strokes\Direction;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'HeardStroke', required: ['t', 'direction', 'muted', 'level_db', 'length_s'], properties: [
    new OA\Property(property: 't', description: 'seconds into the recording', type: 'number'),
    new OA\Property(property: 'direction', type: 'string', enum: Direction::class, nullable: true),
    new OA\Property(property: 'muted', type: 'boolean', nullable: true),
    new OA\Property(property: 'level_db', description: 'against the median stroke', type: 'number', nullable: true),
    new OA\Property(property: 'length_s', description: 'how long it sounded', type: 'number', nullable: true),
])]
#[OA\Schema(schema: 'Hearing', required: ['seconds', 'strokes', 'outline', 'tuning', 'meter', 'remark', 'notes'], properties: [
    new OA\Property(property: 'seconds', type: 'number'),
    new OA\Property(property: 'strokes', type: 'array', items: new OA\Items(ref: '#/components/schemas/HeardStroke')),
    new OA\Property(
        property: 'outline',
        description: 'loudness of each hundredth of a second, 0 to 100; empty for MIDI',
        type: 'array',
        items: new OA\Items(type: 'integer'),
    ),
    new OA\Property(property: 'tuning', nullable: true, type: 'object', required: ['cents', 'from', 'near'], properties: [
        new OA\Property(property: 'cents', description: 'from A = 440, + sharp', type: 'number'),
        new OA\Property(property: 'from', description: 'strokes', type: 'integer'),
        new OA\Property(property: 'near', type: 'array', items: new OA\Items(required: ['slug', 'name'], type: 'object', properties: [
            new OA\Property(property: 'slug', type: 'string'),
            new OA\Property(property: 'name', type: 'string'),
        ])),
    ]),
    new OA\Property(property: 'meter', type: 'string', nullable: true),
    new OA\Property(property: 'remark', type: 'string', nullable: true),
    new OA\Property(
        property: 'notes',
        description: 'which notes sounded, as drafts are made of; where they were asked for',
        type: 'string',
        nullable: true,
    ),
])]
final class HearingResource
{
    /**
     * @param ?NotesHeard $notes where they were asked for
     *
     * @return array<string, mixed>
     */
    public static function of(TakeFile $file, ?NotesHeard $notes = null): array
    {
        $tuning = $file->hearing?->tuning;
        $last = $file->sure() === [] ? 0.0 : $file->sure()[count($file->sure()) - 1]->t + 1.0;

        return [
            'seconds' => round($file->hearing->seconds ?? $last, 3),
            'strokes' => array_map(self::stroke(...), $file->sure()),
            'outline' => array_map(static fn (float $level): int => (int) round(100 * $level), $file->hearing->outline ?? []),
            'tuning' => $tuning === null ? null : [
                'cents' => round($tuning->cents, 1),
                'from' => $tuning->from,
                'near' => array_map(
                    static fn (Tuning $near): array => ['slug' => $near->slug, 'name' => Tuning::known()[$near->slug][0] ?? $near->slug],
                    $tuning->nearest(),
                ),
            ],
            'meter' => $file->meter?->text(),
            'remark' => $file->remark,
            'notes' => $notes?->packed(),
        ];
    }

    /** @return array<string, mixed> */
    public static function stroke(PlayedOnset $stroke): array
    {
        return [
            't' => round($stroke->t, 4),
            'direction' => $stroke->direction?->value,
            'muted' => $stroke->muted,
            'level_db' => $stroke->levelDb === null ? null : round($stroke->levelDb, 1),
            'length_s' => $stroke->seconds === null ? null : round($stroke->seconds, 3),
        ];
    }
}
