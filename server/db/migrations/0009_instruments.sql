CREATE TABLE `boils` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`trip_id` text NOT NULL,
	`water_id` text NOT NULL,
	`at` text NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`water_id`) REFERENCES `waters`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `boils_by_water` ON `boils` (`owner_id`,`water_id`);--> statement-breakpoint
CREATE INDEX `boils_by_trip` ON `boils` (`owner_id`,`trip_id`);--> statement-breakpoint
ALTER TABLE `anglers` ADD `instruments` text;--> statement-breakpoint
ALTER TABLE `anglers` ADD `run_ms` real DEFAULT 6 NOT NULL;--> statement-breakpoint
ALTER TABLE `entries` ADD `by` text;--> statement-breakpoint
ALTER TABLE `entries` ADD `fix` text;