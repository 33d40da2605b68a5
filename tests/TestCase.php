<?php

declare(strict_types=1);

namespace Tests;

use App\Jobs\ChoosePencils;
use App\Models\PencilRow;
use App\Models\Study;
use App\Models\User;
use App\Studies\StudyKeeper;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use KnottyPrism\Core\Formats\Drawers\DrawerFile;
use KnottyPrism\Core\Medium\Pencil\Pencil;

abstract class TestCase extends BaseTestCase
{
    protected function setUp(): void
    {
        // Every test empties its database; without a name of its own that would be the running application's.
        if (! str_contains((string) getenv('DB_DATABASE'), '_test')) {
            throw new \LogicException('Run these through ./test, or with DB_DATABASE set to a database whose name ends in _test.');
        }
        parent::setUp();
        // Where tests run in several processes each has a database of its own; what is told apart from a transaction is told there, too.
        config(['database.connections.apart.database' => DB::connection()->getDatabaseName()]);
        Storage::fake('local');
        $this->withoutVite();
        // Chosen ahead of time in the running application; here where a test asks for it.
        Bus::fake([ChoosePencils::class]);
    }

    protected function tearDown(): void
    {
        parent::tearDown();
        // Health waits for two seconds alone, and says so to its whole process: here others come after it.
        ini_restore('mysqlnd.net_read_timeout');
        // Applications refer to themselves in circles; hundreds of tests in one process would keep them all.
        gc_collect_cycles();
    }

    /** Somebody else sits down: not in the session of whoever was there before. */
    public function actingAs(Authenticatable $user, $guard = null)
    {
        $this->flushSession();

        return parent::actingAs($user, $guard);
    }

    public function artist(string $name = 'artist'): User
    {
        return User::factory()->create(['name' => $name]);
    }

    /** An artist with the demo's drawer of 24, fitted once for all tests. */
    protected function artistWithDrawer(string $name = 'artist'): User
    {
        static $pencils = null;
        $pencils ??= DrawerFile::drawer((string) file_get_contents(base_path('demo/drawer.csv')))->pencils;
        $user = $this->artist($name);
        array_map(static fn (Pencil $p) => PencilRow::factory()->for($user)->fitted($p)->create(), $pencils);

        return $user;
    }

    /** A photo of two flat halves, left and right, as an upload. */
    protected function photo(string $left = '#b7b4a4', string $right = '#3a4a5a', int $width = 400, int $height = 300): UploadedFile
    {
        $image = new \Imagick;
        $image->newImage($width, $height, $left);
        $half = new \Imagick;
        $half->newImage(intdiv($width, 2), $height, $right);
        $image->compositeImage($half, \Imagick::COMPOSITE_OVER, intdiv($width, 2), 0);
        $image->setImageFormat('png');
        $path = (string) tempnam(sys_get_temp_dir(), 'kp');
        $image->writeImage('png:'.$path);

        return new UploadedFile($path, 'two_halves.png', 'image/png', null, true);
    }

    protected function study(User $user): Study
    {
        return app(StudyKeeper::class)->begin($user, 'Two halves', $this->photo()->getRealPath(), 'two_halves.png');
    }

    /** A study, of an artist who is signed in, whose photo has six flat fields, three above three. */
    public function fields(string ...$hexes): Study
    {
        $image = new \Imagick;
        $image->newImage(300, 200, $hexes[0]);
        foreach ($hexes as $i => $hex) {
            $field = new \Imagick;
            $field->newImage(100, 100, $hex);
            $image->compositeImage($field, \Imagick::COMPOSITE_OVER, 100 * ($i % 3), 100 * intdiv($i, 3));
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'kp');
        $image->setImageFormat('png');
        // Without its date as text: nothing in it needs to be looked through.
        $image->setOption('png:exclude-chunks', 'date,tEXt,tIME');
        $image->writeImage("png:$path");
        $user = $this->artistWithDrawer();
        $this->actingAs($user);

        return app(StudyKeeper::class)->begin($user, 'Fields', $path, 'fields.png');
    }
}
