<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\AskedHearing;
use App\Models\HearingState;
use App\Models\Take;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'AskedHearing', required: ['id', 'state', 'done', 'message', 'take', 'heard'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'state', type: 'string', enum: HearingState::class),
    new OA\Property(property: 'done', description: 'share that is heard, 0 to 1', type: 'number'),
    new OA\Property(property: 'message', description: 'why it was refused', type: 'string', nullable: true),
    new OA\Property(property: 'take', description: 'once it is judged', nullable: true, allOf: [
        new OA\Schema(ref: '#/components/schemas/Take'),
    ]),
    new OA\Property(property: 'heard', description: 'of what was only listened to', nullable: true, allOf: [
        new OA\Schema(ref: '#/components/schemas/Hearing'),
    ]),
])]
final class AskedHearingResource
{
    /** @return array<string, mixed> */
    public static function of(AskedHearing $hearing, ?Take $take): array
    {
        return [
            'id' => $hearing->id,
            'state' => $hearing->state->value,
            'done' => $hearing->done,
            'message' => $hearing->message,
            'take' => $take === null ? null : TakeResource::of($take),
            'heard' => $hearing->heard,
        ];
    }

    /** The answer to what was just sent: what is over at once is told as it ended. */
    public static function answer(AskedHearing $hearing, ?Take $take): JsonResponse
    {
        return new JsonResponse(self::of($hearing, $take), match ($hearing->state) {
            HearingState::Done => 201,
            HearingState::Refused => 422,
            HearingState::Waits, HearingState::IsHeard => 202,
        });
    }
}
