"use client";

/** The sites kept in this browser, the last changed first. */
import { App, Button, Dropdown } from "antd";
import { useLiveQuery } from "dexie-react-hooks";
import dynamic from "next/dynamic";
import { useEffect, useState } from "react";
import { storageError } from "@/store/failures";
import { deleteSite, duplicateSite, listSites, restoreSite } from "@/store/sites";
import type { SiteRecord } from "@/store/database";
import { plural, showDate } from "../shared/numbers";
import { Link } from "../shared/place";
import { unwaited } from "../shared/unwaited";
import { DeskPicture } from "./DeskPicture";
import styles from "./Shelf.module.css";

const RenameDialog = dynamic(() => import("./RenameDialog").then((module) => module.RenameDialog));

/** The sites, or why they cannot be read. */
async function sitesOnShelf(): Promise<SiteRecord[] | string> {
  try {
    return await listSites();
  } catch (error) {
    return (storageError(error) as Error).message;
  }
}

export function SiteList() {
  const followed = useLiveQuery(sitesOnShelf);
  // Where there is no storage, nothing is followed.
  const [first, setFirst] = useState<SiteRecord[] | string>();
  useEffect(() => unwaited(sitesOnShelf().then(setFirst)), []);
  const sites = followed ?? first;
  if (!sites) return null;
  if (typeof sites === "string")
    return (
      <p role="alert" className={styles.problem}>
        {sites}
      </p>
    );
  return (
    <section aria-labelledby="sites-title">
      <h2 id="sites-title">On the shelf</h2>
      {sites.length === 0 ? (
        <div className={styles.empty}>
          <p>
            Every site that you open stays here, with all that you did to it. None is here yet: the sample, on the left,
            is a good start.
          </p>
          <DeskPicture />
        </div>
      ) : (
        <table className={styles.sites}>
          <thead>
            <tr>
              <th scope="col">Site</th>
              <th scope="col">Holds</th>
              <th scope="col">Last change</th>
              <th scope="col">
                <span className="visually-hidden">Actions</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {sites.map((site) => (
              <SiteRow key={site.id} site={site} />
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function SiteRow({ site }: { site: SiteRecord }) {
  return (
    <tr>
      <th scope="row">
        <Link href={`/site/${site.id}/page`}>{site.name}</Link>
      </th>
      <td>
        {plural(site.pages, "page")}, {plural(site.sheets, "sheet")}
        {site.found ? `, ${plural(site.found, "finding")}` : ""}
        {site.refused.length > 0 && (
          <details className={styles.doubt}>
            <summary>◆ {plural(site.refused.length, "file")} left out</summary>
            <ul className={styles.refused}>
              {site.refused.map(({ path, reason }) => (
                <li key={path}>
                  <code>{path}</code>: {reason}
                </li>
              ))}
            </ul>
          </details>
        )}
      </td>
      <td>{showDate(site.changed)}</td>
      <td className={styles.actions}>
        <SiteActions site={site} />
      </td>
    </tr>
  );
}

/** What can be done with a site on the shelf; what was deleted can be brought back for a while. */
function SiteActions({ site }: { site: SiteRecord }) {
  const { message } = App.useApp();
  const [naming, setNaming] = useState(false);
  const remove = async () => {
    await deleteSite(site.id);
    const key = `deleted-${site.id}`;
    const bringBack = () => {
      unwaited(restoreSite(site.id));
      message.destroy(key);
    };
    const content = (
      <span>
        {site.name} was deleted.{" "}
        <Button size="small" onClick={bringBack}>
          Bring it back
        </Button>
      </span>
    );
    message.open({ key, type: "info", duration: 12, content });
  };
  const copy = async () => {
    try {
      await duplicateSite(site.id);
    } catch (error) {
      message.error((error as Error).message);
    }
  };
  const items = [
    { key: "rename", label: "Rename", onClick: () => setNaming(true) },
    { key: "copy", label: "Duplicate", onClick: () => unwaited(copy()) },
    { key: "delete", label: "Delete", onClick: () => unwaited(remove()) },
  ];
  return (
    <>
      <Dropdown trigger={["click"]} destroyOnHidden menu={{ items }}>
        <Button size="small" aria-label={`Actions for ${site.name}`}>
          More ▾
        </Button>
      </Dropdown>
      {naming && <RenameDialog site={site} onClose={() => setNaming(false)} />}
    </>
  );
}
