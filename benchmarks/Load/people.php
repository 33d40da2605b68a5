<?php

declare(strict_types=1);

// Makes people for benchmarks/Load/crowd.mjs: each with the demo's drawer, study, plan, desk and book as their own, signed in. Prints a
// line of JSON for each: the study, one of its photos, the session's cookie and its token.

use App\Desk\HalfDone;
use App\Models\Study;
use App\Models\User;
use App\Plans\ShippedPlan;
use Illuminate\Auth\SessionGuard;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Cookie\CookieValuePrefix;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

require __DIR__.'/../../vendor/autoload.php';
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

const OF_A_STUDY = ['survey_versions', 'plan_versions', 'kept_recipes'];

/** @param  array<string, mixed>  $changed */
$copies = static function (string $table, string $of, int $is, array $changed): array {
    $new = [];
    foreach (DB::table($table)->where($of, $is)->orderBy('id')->get() as $row) {
        $columns = (array) $row;
        unset($columns['id'], $columns['owned'], $columns['held'], $columns['origin']);
        $new[$row->id] = DB::table($table)->insertGetId([
            ...$columns,
            ...array_map(static fn (mixed $v): mixed => $v instanceof Closure ? $v($row) : $v, $changed),
        ]);
    }

    return $new;
};
$demo = User::query()->where('email', config('app.demo_email'))->firstOrFail();
$study = $demo->studies()->firstOrFail();
foreach (range((int) ($argv[1] ?? 1), (int) ($argv[2] ?? 200)) as $i) {
    $user = User::query()->create(['name' => "person $i", 'email' => "person$i@example.org", 'password' => 'not signed in with']);
    $copies('pencils', 'user_id', $demo->id, ['user_id' => $user->id]);
    $own = $copies('studies', 'id', $study->id, ['user_id' => $user->id])[$study->id];
    $photos = $copies('photos', 'study_id', $study->id, [
        'study_id' => $own,
        'storage_key' => static function (stdClass $row): string {
            $key = 'photos/'.Str::random(40);
            $from = Storage::path($row->storage_key);
            is_dir($from) && shell_exec('cp -al '.escapeshellarg($from).' '.escapeshellarg(Storage::path($key)));

            return $key;
        },
    ]);
    DB::table('studies')
        ->where('id', $own)
        ->update(['colour_photo_id' => $photos[$study->colour_photo_id] ?? null]);
    array_map(static fn (string $table): array => $copies($table, 'study_id', $study->id, ['study_id' => $own]), OF_A_STUDY);
    $app->make(ShippedPlan::class)->putIn(Study::query()->findOrFail($own), (string) file_get_contents(base_path('demo/plan.json')));
    $app->make(HalfDone::class)->tick(Study::query()->findOrFail($own));
    foreach ($copies('book_recipes', 'user_id', $demo->id, ['user_id' => $user->id, 'study_id' => $own]) as $old => $new) {
        $copies('book_colours', 'book_recipe_id', $old, ['user_id' => $user->id, 'book_recipe_id' => $new]);
    }
    $session = Session::driver();
    $session->setId(Str::random(40));
    $session->flush();
    $session->setExists(false);
    $session->regenerateToken();
    $session->put('login_web_'.sha1(SessionGuard::class), $user->id);
    $session->save();
    $cookie = Crypt::encrypt(CookieValuePrefix::create((string) config('session.cookie'), Crypt::getKey()).$session->getId(), false);
    echo json_encode(
        [
            'study' => $own,
            'photo' => array_values($photos)[0],
            'cookie' => config('session.cookie').'='.rawurlencode($cookie),
            'token' => $session->token(),
        ],
        JSON_THROW_ON_ERROR,
    ),
    "\n";
}
