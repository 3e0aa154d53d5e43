<?php

declare(strict_types=1);

namespace App\Http\Controllers\Groups;

use App\Http\Controllers\Controller;
use App\Http\Requests\JobsRequest;
use App\Models\Balance;
use App\Models\Group;
use Gravik\Band\Seat;
use Gravik\Breakdown\BalanceVerdict;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'BandBalance', required: ['id', 'heard_by', 'seat', 'gain_db', 'verdict', 'on'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'heard_by', description: 'name', type: 'string'),
    new OA\Property(property: 'seat', type: 'string', enum: Seat::class),
    new OA\Property(property: 'gain_db', description: 'null for the band without the guitar', type: 'number', nullable: true),
    new OA\Property(property: 'verdict', type: 'string', enum: BalanceVerdict::class),
    new OA\Property(property: 'on', type: 'string'),
])]
final class ListBalances extends Controller
{
    #[OA\Get(path: '/api/groups/{group}/balances', summary: 'What this band’s listeners heard of the guitar in a tune', parameters: [
        new OA\PathParameter(name: 'group', schema: new OA\Schema(type: 'string')),
        new OA\QueryParameter(name: 'breakdown', required: true, schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(response: 200, description: 'the newest first', content: new OA\JsonContent(
        type: 'array',
        items: new OA\Items(ref: '#/components/schemas/BandBalance'),
    ))])]
    public function __invoke(JobsRequest $request, Group $group): JsonResponse
    {
        $heard = Balance::query()->with('listener:id,name')->where('group_id', $group->id);
        $heard->where('breakdown_id', $request->string('breakdown')->toString())->latest()->latest('id');

        return new JsonResponse($heard->get()->map(static fn (Balance $balance): array => self::told($balance))->all());
    }

    /** @return array<string, mixed> */
    public static function told(Balance $balance): array
    {
        return [
            'id' => $balance->id,
            'heard_by' => $balance->listener->name ?? 'somebody who has left',
            'seat' => $balance->seat->value,
            'gain_db' => $balance->gain_db,
            'verdict' => $balance->verdict->value,
            'on' => $balance->created_at->toDateString(),
        ];
    }
}
