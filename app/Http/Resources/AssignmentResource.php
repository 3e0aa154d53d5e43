<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Assignment;
use Gravik\Neck\Grip\Frets;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Assignment', required: [
    'id', 'breakdown', 'title', 'student', 'revision', 'stages', 'reached', 'stage', 'stage_name', 'opens', 'eases', 'eased',
    'due_on', 'minutes', 'passed',
], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'breakdown', description: 'id', type: 'string'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'student', description: 'id', type: 'integer'),
    new OA\Property(property: 'revision', type: 'integer'),
    new OA\Property(property: 'stages', type: 'array', items: new OA\Items(required: ['key', 'name'], properties: [
        new OA\Property(property: 'key', type: 'string'),
        new OA\Property(property: 'name', type: 'string'),
    ], type: 'object')),
    new OA\Property(property: 'reached', description: 'which of them it is at, from 0', type: 'integer'),
    new OA\Property(property: 'stage', description: 'key; null for the whole song', type: 'string', nullable: true),
    new OA\Property(property: 'stage_name', type: 'string'),
    new OA\Property(property: 'opens', description: 'a passed gate opens the next stage by itself', type: 'boolean'),
    new OA\Property(property: 'eases', description: 'grips that the student’s hand cannot take are given easier', type: 'boolean'),
    new OA\Property(property: 'eased', description: 'those that are', type: 'array', items: new OA\Items(
        required: ['symbol', 'why', 'was', 'now'],
        properties: [
            new OA\Property(property: 'symbol', type: 'string'),
            new OA\Property(property: 'why', type: 'string'),
            new OA\Property(property: 'was', type: 'string'),
            new OA\Property(property: 'now', type: 'string'),
        ],
        type: 'object',
    )),
    new OA\Property(property: 'due_on', type: 'string', nullable: true),
    new OA\Property(property: 'minutes', type: 'integer'),
    new OA\Property(property: 'passed', type: 'boolean'),
])]
final class AssignmentResource
{
    /** @return array<string, mixed> */
    public static function of(Assignment $assignment): array
    {
        return [
            'id' => $assignment->id,
            'breakdown' => $assignment->breakdown_id,
            'title' => $assignment->breakdown->title,
            'student' => $assignment->student_id,
            'revision' => $assignment->revision,
            'stages' => $assignment->stages ?? [],
            'reached' => $assignment->reached,
            'stage' => $assignment->stageKey(),
            'stage_name' => $assignment->stageName(),
            'opens' => $assignment->opens,
            'eases' => $assignment->eases,
            'eased' => array_map(static fn (array $grip): array => [
                'symbol' => $grip['symbol'],
                'why' => $grip['why'],
                'was' => Frets::text($grip['was']),
                'now' => Frets::text($grip['now']),
            ], $assignment->eased ?? []),
            'due_on' => $assignment->due_on?->toDateString(),
            'minutes' => $assignment->minutes,
            'passed' => $assignment->passed_at !== null,
        ];
    }
}
