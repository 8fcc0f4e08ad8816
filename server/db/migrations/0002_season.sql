CREATE TABLE `season_notes` (
	`water_id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`water_id`) REFERENCES `waters`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `weather` (
	`water_id` text NOT NULL,
	`source` text NOT NULL,
	`owner_id` text NOT NULL,
	`issued_at` text NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`water_id`, `source`),
	FOREIGN KEY (`water_id`) REFERENCES `waters`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`owner_id`) REFERENCES `anglers`(`id`) ON UPDATE no action ON DELETE no action
);
